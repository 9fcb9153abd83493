package ivrik.media.decode;

import ivrik.core.cache.NoRoomException;
import ivrik.core.picture.Size;
import ivrik.media.UnreadableMediaException;

import java.nio.file.Path;

/** Whether there is room for a picture, asked before any is taken. */
final class Memory {
    private Memory() {}

    /**
     * @throws UnreadableMediaException if a picture of this size needs more than there is
     */
    static void check(Size size, Path file) {
        try {
            NoRoomException.check(size);
        } catch (NoRoomException e) {
            throw new UnreadableMediaException(file + ": " + e.getMessage(), e.advice());
        }
    }
}
