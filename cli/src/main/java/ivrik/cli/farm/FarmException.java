package ivrik.cli.farm;

import ivrik.core.IvrikException;

import java.nio.file.Path;

/** A farm render cannot start, continue or be joined. */
public final class FarmException extends IvrikException {
    /** The folder belongs to another render. */
    public static FarmException ofSomethingElse(Path folder) {
        return new FarmException(
                folder + " belongs to another job", "choose another name or use --restart", null);
    }

    /** Jobs are queued or running. */
    public static FarmException atWork(Path folder) {
        return new FarmException(
                "jobs of " + folder + " are still running", "cancel them with --cancel", null);
    }

    FarmException(String what, String advice, Throwable cause) {
        super(what, advice, cause);
    }
}
