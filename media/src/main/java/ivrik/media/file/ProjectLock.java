package ivrik.media.file;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Instant;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * One window's lock on a project: a small hidden file beside the project that names the holder and stays
 * locked while the process runs. On read-only folders and disks without locks nothing is locked, and saving
 * is only checked by {@link FileVersion}.
 */
public final class ProjectLock implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(ProjectLock.class);
    private static final String ENDING = ".open";

    /** Byte to lock, beyond the text, because some systems cannot read locked bytes. */
    private static final long LOCKED_BYTE = 1L << 40;

    private static final int TRIES = 20;

    /** Locks of this process, which would lose a lock by closing a second channel to the file. */
    private static final Map<Path, ProjectHolder> MINE = new ConcurrentHashMap<>();

    private final Path file;
    private final FileChannel channel;

    private ProjectLock(Path file, FileChannel channel) {
        this.file = file;
        this.channel = channel;
    }

    /**
     * Locks a project.
     *
     * @throws ProjectLockedException if another window has it open
     */
    public static ProjectLock take(Path project) {
        Path absolute = project.toAbsolutePath();
        Path file = absolute.resolveSibling("." + absolute.getFileName() + ENDING);
        ProjectHolder me =
                new ProjectHolder(
                        System.getProperty("user.name"), ProcessOwner.self(), Instant.now());
        ProjectHolder other = MINE.putIfAbsent(file, me);
        if (other != null) {
            throw new ProjectLockedException(project, other);
        }
        try {
            return new ProjectLock(file, locked(file, project, me));
        } catch (ProjectLockedException e) {
            MINE.remove(file);
            throw e;
        } catch (IOException e) {
            LOG.warn("the lock {} cannot be taken", project, e);
            return new ProjectLock(file, null);
        }
    }

    private static FileChannel locked(Path file, Path project, ProjectHolder me)
            throws IOException {
        for (int i = 0; i < TRIES; i++) {
            FileChannel channel =
                    FileChannel.open(
                            file,
                            StandardOpenOption.CREATE,
                            StandardOpenOption.READ,
                            StandardOpenOption.WRITE);
            FileLock lock = channel.tryLock(LOCKED_BYTE, 1, false);
            String there = me.text();
            if (lock != null) {
                channel.truncate(0);
                channel.write(ByteBuffer.wrap(me.text().getBytes(StandardCharsets.UTF_8)), 0);
                // The path may refer to a new file if the previous holder has just deleted its own.
                // Reading
                // through the path releases POSIX locks.
                there = Files.exists(file) ? Files.readString(file) : "";
                lock.release();
                lock = channel.tryLock(LOCKED_BYTE, 1, false);
            }
            if (lock != null && there.equals(me.text())) {
                return channel;
            }
            channel.close();
            if (lock == null) {
                throw new ProjectLockedException(
                        project, ProjectHolder.parse(Files.readString(file)));
            }
        }
        throw new IOException(file + " keeps changing");
    }

    /** Releases the lock. */
    @Override
    public void close() {
        MINE.remove(file);
        if (channel == null) {
            return;
        }
        try (channel) {
            Files.deleteIfExists(file);
        } catch (IOException e) {
            LOG.warn("{} could not be deleted", file, e);
        }
    }
}
