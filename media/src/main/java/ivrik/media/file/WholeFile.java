package ivrik.media.file;

import ivrik.media.UnreadableMediaException;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** Reads files completely if memory suffices, checked before allocation. */
public final class WholeFile {
    private static final long LONGEST_ARRAY = Integer.MAX_VALUE - 64L;

    /** Largest share of memory for a file, as a divisor; processing takes several times as much. */
    private static final int PART_OF_MEMORY = 8;

    private WholeFile() {}

    /**
     * @throws UnreadableMediaException if the file exceeds an array, or an eighth of the memory
     */
    public static byte[] bytes(Path file) throws IOException {
        return bytes(file, LONGEST_ARRAY);
    }

    /**
     * @param longest limit in bytes
     * @throws UnreadableMediaException if the file exceeds the limit, or an eighth of the memory
     */
    public static byte[] bytes(Path file, long longest) throws IOException {
        long most = Math.min(longest, Runtime.getRuntime().maxMemory() / PART_OF_MEMORY);
        long size = Files.size(file);
        if (size > most) {
            throw new UnreadableMediaException(
                    file + " is too large: " + (size >> 20) + " MB, limit " + (most >> 20) + " MB",
                    most == longest
                            ? "choose another file"
                            : "make it smaller, or give Ivrik more memory with IVRIK_MEMORY=12g");
        }
        return Files.readAllBytes(file);
    }
}
