package ivrik.media.decode;

import ivrik.core.cache.NotEnoughMemoryException;
import ivrik.core.picture.Size;
import ivrik.media.UnreadableMediaException;

import java.nio.file.Path;

/** Checks that memory suffices for a picture before any is allocated. */
final class MemoryCheck {
    private MemoryCheck() {}

    /**
     * @throws UnreadableMediaException if a picture of this size exceeds the available memory
     */
    static void check(Size size, Path file) {
        try {
            NotEnoughMemoryException.check(size);
        } catch (NotEnoughMemoryException e) {
            throw new UnreadableMediaException(file + ": " + e.getMessage(), e.advice());
        }
    }
}
