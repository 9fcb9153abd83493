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
 * A file being written under another name beside its target; it takes the target's place only when
 * it is whole. Closed before that, it leaves nothing, and the target as it was. A target that is a
 * link stays one, and what it leads to is replaced; a file's permissions are kept.
 */
public final class SafeFile implements AutoCloseable {
    private static final String ENDING = ".part";

    /** Of UTF-8: systems keep names of 255, and more comes before and after. */
    private static final int LONGEST_NAME = 120;

    private static final Set<PosixFilePermission> PRIVATE =
            PosixFilePermissions.fromString("rw-------");
    private static final AtomicLong NUMBER = new AtomicLong();

    private final Path target;
    private final Path aside;
    private final Set<PosixFilePermission> permissions;
    private boolean done;

    /**
     * @throws UnwritableTargetException if the folder is missing or cannot be written to
     */
    public SafeFile(Path target) {
        this(target, null);
    }

    private SafeFile(Path target, Set<PosixFilePermission> asked) {
        this.target = followed(target.toAbsolutePath());
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
        refuseToReplace(target);
        Leftovers.remove(folder, prefix(), ENDING);
        this.aside =
                folder.resolve(
                        prefix() + Owner.self().token() + "." + NUMBER.incrementAndGet() + ENDING);
        try {
            this.permissions = kept(asked);
            if (permissions == null) {
                Files.createFile(aside);
            } else {
                Files.createFile(aside, PosixFilePermissions.asFileAttribute(PRIVATE));
            }
            Interrupted.remove(aside); // an interrupted run leaves nothing either
        } catch (IOException e) {
            throw unwritable(e);
        }
    }

    /** Devices and pipes cannot be replaced, and what is protected is not meant to be. */
    private void refuseToReplace(Path asked) {
        if (Files.exists(target) && !Files.isRegularFile(target)) {
            throw new UnwritableTargetException(
                    asked + " is no ordinary file", "choose another name", null);
        }
        if (Files.exists(target) && !Files.isWritable(target)) {
            throw new UnwritableTargetException(
                    asked + " is protected against writing",
                    "take the protection away, or choose another name",
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

    /** What the names of all parts of this target begin with. */
    private String prefix() {
        return "." + shortened(target.getFileName().toString()) + ".";
    }

    /** A name with room before and after it; what is cut off is still told apart. */
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

    /** Those asked for, else those of the file that it will replace; null for the usual ones. */
    private Set<PosixFilePermission> kept(Set<PosixFilePermission> asked) throws IOException {
        boolean posix = isPosix(target);
        return !posix || asked != null || !Files.exists(target)
                ? posix ? asked : null
                : Files.getPosixFilePermissions(target);
    }

    /** Writes a whole text. */
    public static void write(Path target, String text) {
        write(target, text.getBytes(StandardCharsets.UTF_8));
    }

    /** Writes whole bytes. */
    public static void write(Path target, byte[] bytes) {
        write(new SafeFile(target), bytes);
    }

    /** Writes a whole text that only its owner may read. */
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

    /** Where to write until it is whole. */
    public Path aside() {
        return aside;
    }

    /** It is whole: force it to the disk and put it in its place, and force that to the disk too. */
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

    /** So that the new name survives a loss of power. Others open no folder for that. */
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

    /** What keeps {@code target} from being written, in plain words. */
    public static UnwritableTargetException fault(Path target, IOException e) {
        String why = e.getMessage() == null ? "" : e.getMessage().toLowerCase(Locale.ROOT);
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
