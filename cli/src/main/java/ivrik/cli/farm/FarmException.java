package ivrik.cli.farm;

import ivrik.core.IvrikException;

import java.nio.file.Path;

/** Something that keeps work from being spread or joined. */
public final class FarmException extends IvrikException {
    /** A folder holds what another order has left. */
    public static FarmException ofSomethingElse(Path folder) {
        return new FarmException(
                folder + " is of something else",
                "choose another name, or begin anew with --again",
                null);
    }

    /** Jobs are waiting or at work there. */
    public static FarmException atWork(Path folder) {
        return new FarmException(
                "jobs of " + folder + " are not done yet", "take them back with --cancel", null);
    }

    FarmException(String what, String advice, Throwable cause) {
        super(what, advice, cause);
    }
}
