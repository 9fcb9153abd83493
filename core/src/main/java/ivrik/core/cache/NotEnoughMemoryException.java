package ivrik.core.cache;

import ivrik.core.IvrikException;
import ivrik.core.picture.Size;

/** Memory ran out although the cache was released. */
public final class NotEnoughMemoryException extends IvrikException {
    /** Three float planes each for the input, the output and one intermediate result. */
    private static final long BYTES_A_PIXEL = 4L * 3 * 3;

    private static final String ADVICE =
            "reduce the picture size, close other projects, or raise the limit, for"
                    + " example IVRIK_MEMORY=12g";

    public NotEnoughMemoryException(Throwable cause) {
        this("not enough memory", cause);
    }

    private NotEnoughMemoryException(String what, Throwable cause) {
        super(what + "; the limit for Ivrik is " + (most() >> 20) + " MB", ADVICE, cause);
    }

    /**
     * @param size size of the frames, in px, for the message
     */
    public static NotEnoughMemoryException of(Size size, Throwable cause) {
        return new NotEnoughMemoryException("not enough memory for pictures of " + size, cause);
    }

    /**
     * Checks before memory is allocated.
     *
     * @param size size of the frames, in px
     * @throws NotEnoughMemoryException if frames of this size need more memory than the limit of the process
     */
    public static void check(Size size) {
        long needed = size.pixels() * BYTES_A_PIXEL;
        if (needed > most()) {
            throw new NotEnoughMemoryException(
                    "frames of " + size + " px need " + (needed >> 20) + " MB of memory", null);
        }
    }

    private static long most() {
        return Runtime.getRuntime().maxMemory();
    }
}
