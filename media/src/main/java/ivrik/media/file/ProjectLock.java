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
 * One window's claim on a project: a small hidden file beside it that says who has it open, locked as
 * long as that process lives. Where a folder cannot be written to or its disk has no locks, nobody
 * holds anything, and whoever saves is only checked by {@link FileVersion}.
 */
public final class ProjectLock implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(ProjectLock.class);
    private static final String ENDING = ".open";

    /** Beyond all text, because on some systems what is locked cannot be read. */
    private static final long LOCKED_BYTE = 1L << 40;

    private static final int TRIES = 20;

    /** Of this process, which would lose its lock by closing a second channel on the file. */
    private static final Map<Path, Holder> MINE = new ConcurrentHashMap<>();

    private final Path file;
    private final FileChannel channel;

    private ProjectLock(Path file, FileChannel channel) {
        this.file = file;
        this.channel = channel;
    }

    /**
     * Claims a project.
     *
     * @throws ProjectHeldException if another window has it
     */
    public static ProjectLock take(Path project) {
        Path absolute = project.toAbsolutePath();
        Path file = absolute.resolveSibling("." + absolute.getFileName() + ENDING);
        Holder me = new Holder(System.getProperty("user.name"), Owner.self(), Instant.now());
        Holder other = MINE.putIfAbsent(file, me);
        if (other != null) {
            throw new ProjectHeldException(project, other);
        }
        try {
            return new ProjectLock(file, locked(file, project, me));
        } catch (ProjectHeldException e) {
            MINE.remove(file);
            throw e;
        } catch (IOException e) {
            LOG.warn("{} cannot be claimed", project, e);
            return new ProjectLock(file, null);
        }
    }

    private static FileChannel locked(Path file, Path project, Holder me) throws IOException {
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
                // The name leads to another file if the one before has just taken its own away.
                // Reading through it gives up the lock where locks are POSIX's.
                there = Files.exists(file) ? Files.readString(file) : "";
                lock.release();
                lock = channel.tryLock(LOCKED_BYTE, 1, false);
            }
            if (lock != null && there.equals(me.text())) {
                return channel;
            }
            channel.close();
            if (lock == null) {
                throw new ProjectHeldException(project, Holder.parse(Files.readString(file)));
            }
        }
        throw new IOException(file + " changes all the time");
    }

    /** Another may have it. */
    @Override
    public void close() {
        MINE.remove(file);
        if (channel == null) {
            return;
        }
        try (channel) {
            Files.deleteIfExists(file);
        } catch (IOException e) {
            LOG.warn("{} could not be taken away", file, e);
        }
    }
}
