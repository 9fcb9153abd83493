package ivrik.media.decode;

import ivrik.core.cache.NoRoomException;
import ivrik.core.picture.Size;
import ivrik.media.UnreadableMediaException;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** Whether there is room for a picture, asked before any is taken. */
final class Memory {
    private static final long LONGEST_ARRAY = Integer.MAX_VALUE - 64L;

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

    /**
     * All of a file that is read in one go.
     *
     * @throws UnreadableMediaException if it is larger than an array or a quarter of the memory
     */
    static byte[] bytes(Path file) throws IOException {
        long most = Math.min(LONGEST_ARRAY, Runtime.getRuntime().maxMemory() / 4);
        long size = Files.size(file);
        if (size > most) {
            throw new UnreadableMediaException(
                    file
                            + " has "
                            + (size >> 20)
                            + " MB, of which "
                            + (most >> 20)
                            + " can be read",
                    "write it smaller, or give Ivrik more memory with IVRIK_MEMORY=12g");
        }
        return Files.readAllBytes(file);
    }
}
