package ivrik.app.session;

import ivrik.core.IvrikException;
import ivrik.core.cache.NoRoomException;

/** A fault of Ivrik's own, where one that the user can act on would be told. */
public final class UnforeseenException extends IvrikException {
    private UnforeseenException(Throwable cause) {
        super("something went wrong inside Ivrik", "the log tells more of it", cause);
    }

    /** Whatever went wrong, as something that can be told. */
    public static IvrikException told(Throwable fault) {
        return switch (fault) {
            case IvrikException known -> known;
            case OutOfMemoryError full -> new NoRoomException(full);
            default -> new UnforeseenException(fault);
        };
    }
}
