package ivrik.media.file;

import ivrik.media.UnreadableMediaException;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** Files that are read in one go, if they are not too large for it; asked before any memory is taken. */
public final class WholeFile {
    private static final long LONGEST_ARRAY = Integer.MAX_VALUE - 64L;

    /** What is made of a file takes several times as much. */
    private static final int PART_OF_MEMORY = 8;

    private WholeFile() {}

    /**
     * @throws UnreadableMediaException if it is larger than an array, or an eighth of the memory
     */
    public static byte[] bytes(Path file) throws IOException {
        return bytes(file, LONGEST_ARRAY);
    }

    /**
     * @param longest how many bytes such a file may have
     * @throws UnreadableMediaException if it is larger than that, or an eighth of the memory
     */
    public static byte[] bytes(Path file, long longest) throws IOException {
        long most = Math.min(longest, Runtime.getRuntime().maxMemory() / PART_OF_MEMORY);
        long size = Files.size(file);
        if (size > most) {
            throw new UnreadableMediaException(
                    file + " is too large: " + (size >> 20) + " MB of at most " + (most >> 20),
                    most == longest
                            ? "choose another file"
                            : "make it smaller, or give Ivrik more memory with IVRIK_MEMORY=12g");
        }
        return Files.readAllBytes(file);
    }
}
