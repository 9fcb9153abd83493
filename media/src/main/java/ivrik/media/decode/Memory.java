package ivrik.media.decode;

import ivrik.core.picture.Size;
import ivrik.media.UnreadableMediaException;

/** Whether there is room for a picture, asked before any is taken. */
final class Memory {
    /** Three colours as floats, as they come, as they go, and once in between. */
    private static final long BYTES_A_PIXEL = 4L * 3 * 3;

    private Memory() {}

    /**
     * @throws UnreadableMediaException if a picture of this size needs more than there is
     */
    static void check(Size size) {
        long needed = size.pixels() * BYTES_A_PIXEL;
        long most = Runtime.getRuntime().maxMemory();
        if (needed > most) {
            throw new UnreadableMediaException(
                    "a picture of "
                            + size
                            + " needs "
                            + (needed >> 20)
                            + " MB of memory, Ivrik may use "
                            + (most >> 20),
                    "make it smaller, or give Ivrik more memory with IVRIK_MEMORY=12g");
        }
    }
}
