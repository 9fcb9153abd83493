package ivrik.app.picture;

import ivrik.app.session.UnforeseenException;

/**
 * Why a source cannot be shown in a frame.
 *
 * @param message message for the user
 * @param missing whether the file does not exist
 */
public record SourceFault(String message, boolean missing) {
    /** The message of an exception for the user. */
    public static String why(Throwable fault) {
        return UnforeseenException.wrap(fault).oneLine();
    }
}
