package ivrik.app.picture;

import ivrik.core.IvrikException;
import ivrik.core.cache.NoRoomException;

/**
 * What keeps a source from being shown in a frame.
 *
 * @param words for the user
 * @param missing whether its file is gone altogether, and not only damaged there
 */
public record Fault(String words, boolean missing) {
    /** Why something could not be made, in words for the user. */
    public static String why(Throwable fault) {
        return switch (fault) {
            case IvrikException known -> known.oneLine();
            case OutOfMemoryError full -> new NoRoomException(full).oneLine();
            default -> "something went wrong inside Ivrik that the log tells more of";
        };
    }
}
