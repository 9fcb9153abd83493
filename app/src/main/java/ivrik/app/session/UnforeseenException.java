package ivrik.app.session;

import ivrik.core.IvrikException;
import ivrik.core.cache.NotEnoughMemoryException;

/** An internal error, in place of one that the user can act on. */
public final class UnforeseenException extends IvrikException {
    private UnforeseenException(Throwable cause) {
        super("internal error in Ivrik", "see the log file for details", cause);
    }

    /** Wraps any exception for display. */
    public static IvrikException wrap(Throwable fault) {
        return switch (fault) {
            case IvrikException known -> known;
            case OutOfMemoryError full -> new NotEnoughMemoryException(full);
            default -> new UnforeseenException(fault);
        };
    }
}
