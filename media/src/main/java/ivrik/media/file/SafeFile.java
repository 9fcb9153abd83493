package ivrik.media.file;

import ivrik.media.UnwritableTargetException;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;

/**
 * A file being written under another name beside its target; it takes the target's place only when
 * it is whole. Closed before that, it leaves nothing, and the target as it was.
 */
public final class SafeFile implements AutoCloseable {
    private final Path target;
    private final Path aside;
    private boolean done;

    /**
     * @throws UnwritableTargetException if the folder is missing or cannot be written to
     */
    public SafeFile(Path target) {
        this.target = target.toAbsolutePath();
        Path folder = this.target.getParent();
        if (folder == null || !Files.isDirectory(folder)) {
            throw new UnwritableTargetException(
                    "there is no folder " + folder,
                    "create it, or choose another place for " + target.getFileName(),
                    null);
        }
        if (Files.isDirectory(this.target)) {
            throw new UnwritableTargetException(
                    target + " is a folder", "choose the name of a file in it", null);
        }
        this.aside =
                folder.resolve(
                        "."
                                + this.target.getFileName()
                                + "."
                                + ProcessHandle.current().pid()
                                + ".part");
        try {
            Files.deleteIfExists(aside);
            Files.createFile(aside);
            aside.toFile().deleteOnExit(); // an interrupted run leaves nothing either
        } catch (IOException e) {
            throw unwritable(e);
        }
    }

    /** Writes a whole text. */
    public static void write(Path target, String text) {
        write(target, text.getBytes(java.nio.charset.StandardCharsets.UTF_8));
    }

    /** Writes whole bytes. */
    public static void write(Path target, byte[] bytes) {
        try (SafeFile file = new SafeFile(target)) {
            Files.write(file.aside(), bytes);
            file.finish();
        } catch (IOException e) {
            throw fault(target, e);
        }
    }

    /** Where to write until it is whole. */
    public Path aside() {
        return aside;
    }

    /** It is whole: force it to the disk and put it in its place. */
    public void finish() {
        try {
            try (FileChannel channel = FileChannel.open(aside, StandardOpenOption.WRITE)) {
                channel.force(true);
            }
            try {
                Files.move(
                        aside,
                        target,
                        StandardCopyOption.ATOMIC_MOVE,
                        StandardCopyOption.REPLACE_EXISTING);
            } catch (AtomicMoveNotSupportedException e) {
                Files.move(aside, target, StandardCopyOption.REPLACE_EXISTING);
            }
            done = true;
        } catch (IOException e) {
            throw unwritable(e);
        }
    }

    @Override
    public void close() {
        if (!done) {
            try {
                Files.deleteIfExists(aside);
            } catch (IOException e) {
                throw unwritable(e);
            }
        }
    }

    private UnwritableTargetException unwritable(IOException e) {
        return fault(target, e);
    }

    /** What keeps {@code target} from being written, in plain words. */
    public static UnwritableTargetException fault(Path target, IOException e) {
        String why =
                e.getMessage() == null ? "" : e.getMessage().toLowerCase(java.util.Locale.ROOT);
        if (why.contains("no space")) {
            return new UnwritableTargetException(
                    "the disk is full while writing " + target,
                    "free some space or choose another disk",
                    e);
        }
        if (why.contains("too large") || why.contains("quota")) {
            return new UnwritableTargetException(
                    target + " is larger than there is room for",
                    "choose another disk, or ask for a larger share of this one",
                    e);
        }
        return new UnwritableTargetException(
                "cannot write " + target,
                "check that you may write there, or choose another place",
                e);
    }
}
