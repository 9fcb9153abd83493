package ivrik.app.picture;

import ivrik.app.session.UnforeseenException;

/**
 * What keeps a source from being shown in a frame.
 *
 * @param words for the user
 * @param missing whether its file is gone altogether, and not only damaged there
 */
public record Fault(String words, boolean missing) {
    /** Why something could not be made, in words for the user. */
    public static String why(Throwable fault) {
        return UnforeseenException.told(fault).oneLine();
    }
}
