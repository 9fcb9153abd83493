package ivrik.app.session;

import ivrik.core.IvrikException;
import ivrik.core.project.Project;
import ivrik.media.file.Journal;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.util.concurrent.ScheduledThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;

/**
 * Writes unsaved work to a journal on its own thread, half a second after the first unwritten change, so that
 * a crash loses at most two seconds of work even on a busy machine.
 */
final class BackupWriter implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(BackupWriter.class);
    private static final long DELAY_MS = 500;
    private static final long AGAIN_MS = 5000;
    private static final long LAST_WAIT_S = 3;

    /** Journals to write to: the second if the first is not writable. */
    record Place(Journal first, Journal second) {
        void clear() {
            first.clear();
            second.clear();
        }
    }

    private record Work(Place place, Project project) {}

    private final ScheduledThreadPoolExecutor writer =
            new ScheduledThreadPoolExecutor(
                    1, Thread.ofPlatform().name("ivrik-journal").daemon().factory());
    private final AtomicReference<Work> unwritten = new AtomicReference<>();
    private final AtomicBoolean waiting = new AtomicBoolean();
    private final Consumer<Project> kept;
    private final Consumer<IvrikException> fault;

    /**
     * @param kept receives each project that was written, on the writer's thread
     * @param fault receives errors, on the writer's thread
     */
    BackupWriter(Consumer<Project> kept, Consumer<IvrikException> fault) {
        this.kept = kept;
        this.fault = fault;
        writer.setExecuteExistingDelayedTasksAfterShutdownPolicy(false);
    }

    /** Schedules a project for writing. */
    void keep(Place place, Project project) {
        unwritten.set(new Work(place, project));
        soon(DELAY_MS);
    }

    /** Discards the journals of a place. */
    void drop(Place place) {
        unwritten.set(null);
        writer.execute(
                () -> {
                    try {
                        place.clear();
                    } catch (IvrikException e) {
                        LOG.warn("a journal could not be deleted", e);
                    }
                });
    }

    private void soon(long ms) {
        if (waiting.compareAndSet(false, true)) {
            writer.schedule(this::write, ms, TimeUnit.MILLISECONDS);
        }
    }

    private void write() {
        waiting.set(false);
        Work work = unwritten.getAndSet(null);
        if (work == null) {
            return;
        }
        try {
            writeSomewhere(work);
            kept.accept(work.project());
        } catch (IvrikException e) {
            fault.accept(e);
            unwritten.compareAndSet(null, work);
            if (!writer.isShutdown()) {
                soon(AGAIN_MS);
            }
        }
    }

    private static void writeSomewhere(Work work) {
        try {
            work.place().first().write(work.project());
        } catch (IvrikException e) {
            LOG.warn("unsaved work was backed up to the data folder instead", e);
            work.place().second().write(work.project());
        }
    }

    /** Writes what is scheduled; nothing is written after this method returns. */
    @Override
    public void close() {
        writer.execute(this::write);
        writer.shutdown();
        try {
            if (!writer.awaitTermination(LAST_WAIT_S, TimeUnit.SECONDS)) {
                LOG.warn("the journal was still being written when the window closed");
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
