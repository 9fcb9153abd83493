package ivrik.core.cache;

import ivrik.core.IvrikException;
import ivrik.core.picture.Size;

/** There is not enough memory for what was asked for, although all that was kept has been let go. */
public final class NoRoomException extends IvrikException {
    /** Three colours as floats, as they come, as they go, and once in between. */
    private static final long BYTES_A_PIXEL = 4L * 3 * 3;

    private static final String ADVICE =
            "make the pictures smaller, close other projects, or give Ivrik more memory, as with"
                    + " IVRIK_MEMORY=12g";

    public NoRoomException(Throwable cause) {
        this("there is not enough memory", cause);
    }

    private NoRoomException(String what, Throwable cause) {
        super(what + "; Ivrik may use " + (most() >> 20) + " MB", ADVICE, cause);
    }

    /** That work on pictures of a size came to this. */
    public static NoRoomException of(Size size, Throwable cause) {
        return new NoRoomException("there is not enough memory for pictures of " + size, cause);
    }

    /**
     * To be asked before any memory is taken.
     *
     * @throws NoRoomException if pictures of this size need more than there is at all
     */
    public static void check(Size size) {
        long needed = size.pixels() * BYTES_A_PIXEL;
        if (needed > most()) {
            throw new NoRoomException(
                    "pictures of " + size + " need " + (needed >> 20) + " MB of memory", null);
        }
    }

    private static long most() {
        return Runtime.getRuntime().maxMemory();
    }
}
