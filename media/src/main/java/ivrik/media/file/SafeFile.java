package ivrik.media.file;

import ivrik.media.UnwritableTargetException;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Locale;
import java.util.Set;
import java.util.concurrent.atomic.AtomicLong;

/**
 * Writes a file under a temporary name and moves it into place when complete. Without {@link #finish} nothing
 * is left and the target is unchanged. The target of a link is replaced, and permissions are kept.
 */
public final class SafeFile implements AutoCloseable {
    private static final String ENDING = ".part";

    /** Bytes of UTF-8; systems allow 255, and a prefix and suffix are added. */
    private static final int LONGEST_NAME = 120;

    private static final Set<PosixFilePermission> PRIVATE =
            PosixFilePermissions.fromString("rw-------");
    private static final AtomicLong NUMBER = new AtomicLong();

    private final Path target;
    private final Path aside;
    private final Set<PosixFilePermission> permissions;
    private boolean done;

    /**
     * @throws UnwritableTargetException if the folder is missing or not writable
     */
    public SafeFile(Path target) {
        this(target, null);
    }

    private SafeFile(Path target, Set<PosixFilePermission> asked) {
        this.target = followed(target.toAbsolutePath());
        Path folder = this.target.getParent();
        if (folder == null || !Files.isDirectory(folder)) {
            throw new UnwritableTargetException(
                    "folder " + folder + " does not exist",
                    "create it or choose another folder for " + target.getFileName(),
                    null);
        }
        if (Files.isDirectory(this.target)) {
            throw new UnwritableTargetException(
                    target + " is a folder", "choose a file name inside it", null);
        }
        refuseToReplace(target);
        Leftovers.remove(folder, prefix(), ENDING);
        this.aside =
                folder.resolve(
                        prefix()
                                + ProcessOwner.self().token()
                                + "."
                                + NUMBER.incrementAndGet()
                                + ENDING);
        try {
            this.permissions = kept(asked);
            if (permissions == null) {
                Files.createFile(aside);
            } else {
                Files.createFile(aside, PosixFilePermissions.asFileAttribute(PRIVATE));
            }
            Interrupted.remove(aside); // an interrupted process leaves no file either
        } catch (IOException e) {
            throw unwritable(e);
        }
    }

    /** Refuses devices, pipes and write-protected files. */
    private void refuseToReplace(Path asked) {
        if (Files.exists(target) && !Files.isRegularFile(target)) {
            throw new UnwritableTargetException(
                    asked + " is not a regular file", "choose another name", null);
        }
        if (Files.exists(target) && !Files.isWritable(target)) {
            throw new UnwritableTargetException(
                    asked + " is write-protected",
                    "remove the write protection or choose another name",
                    null);
        }
    }

    private static Path followed(Path target) {
        try {
            Path at = target;
            for (int links = 0; Files.isSymbolicLink(at) && links < 40; links++) {
                at = at.resolveSibling(Files.readSymbolicLink(at)).normalize();
            }
            return at;
        } catch (IOException e) {
            throw fault(target, e);
        }
    }

    /** Common prefix of the temporary files of this target. */
    private String prefix() {
        return "." + shortened(target.getFileName().toString()) + ".";
    }

    /** A name shortened to leave room for prefix and suffix, still unique. */
    static String shortened(String name) {
        if (bytes(name) <= LONGEST_NAME) {
            return name;
        }
        int end = 0;
        while (bytes(name.substring(0, name.offsetByCodePoints(end, 1))) <= LONGEST_NAME) {
            end = name.offsetByCodePoints(end, 1);
        }
        return name.substring(0, end) + Integer.toHexString(name.hashCode());
    }

    private static int bytes(String name) {
        return name.getBytes(StandardCharsets.UTF_8).length;
    }

    /** The requested permissions, or those of the replaced file; null for the default. */
    private Set<PosixFilePermission> kept(Set<PosixFilePermission> asked) throws IOException {
        boolean posix = isPosix(target);
        return !posix || asked != null || !Files.exists(target)
                ? posix ? asked : null
                : Files.getPosixFilePermissions(target);
    }

    /** Writes text. */
    public static void write(Path target, String text) {
        write(target, text.getBytes(StandardCharsets.UTF_8));
    }

    /** Writes bytes. */
    public static void write(Path target, byte[] bytes) {
        write(new SafeFile(target), bytes);
    }

    /** Writes text that only the owner may read. */
    public static void writePrivately(Path target, String text) {
        write(new SafeFile(target, PRIVATE), text.getBytes(StandardCharsets.UTF_8));
    }

    private static void write(SafeFile safe, byte[] bytes) {
        try (safe) {
            Files.write(safe.aside(), bytes);
            safe.finish();
        } catch (IOException e) {
            throw fault(safe.target, e);
        }
    }

    /** Temporary path for writing. */
    public Path aside() {
        return aside;
    }

    /** Flushes the file to disk, moves it into place and flushes the folder. */
    public void finish() {
        try {
            try (FileChannel channel = FileChannel.open(aside, StandardOpenOption.WRITE)) {
                channel.force(true);
            }
            if (permissions != null) {
                Files.setPosixFilePermissions(aside, permissions);
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
            Interrupted.forget(aside);
            forceFolder(target.getParent());
        } catch (IOException e) {
            throw unwritable(e);
        }
    }

    private static boolean isPosix(Path file) {
        return file.getFileSystem().supportedFileAttributeViews().contains("posix");
    }

    /** Makes the new name survive a power failure. Systems that cannot open folders do without. */
    private static void forceFolder(Path folder) throws IOException {
        if (!isPosix(folder)) {
            return;
        }
        try (FileChannel channel = FileChannel.open(folder, StandardOpenOption.READ)) {
            channel.force(true);
        }
    }

    @Override
    public void close() {
        if (!done) {
            Interrupted.forget(aside);
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

    /** The reason why {@code target} cannot be written. */
    public static UnwritableTargetException fault(Path target, IOException e) {
        String why = e.getMessage() == null ? "" : e.getMessage().toLowerCase(Locale.ROOT);
        if (why.contains("no space")) {
            return new UnwritableTargetException(
                    "the disk is full while writing " + target,
                    "free disk space or choose another disk",
                    e);
        }
        if (why.contains("too large") || why.contains("quota")) {
            return new UnwritableTargetException(
                    target + " exceeds the disk quota or the largest file size",
                    "choose another disk or ask for a larger quota",
                    e);
        }
        return new UnwritableTargetException(
                "cannot write " + target, "check the write permission or choose another folder", e);
    }
}
