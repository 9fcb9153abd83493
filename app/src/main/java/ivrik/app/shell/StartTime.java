package ivrik.app.shell;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.time.Duration;
import java.time.Instant;

/** Time from the start of the process to the first picture. */
final class StartTime {
    private static final Logger LOG = LoggerFactory.getLogger(StartTime.class);

    private StartTime() {}

    /** Logs the time once. */
    static void log() {
        ProcessHandle.Info process = ProcessHandle.current().info();
        Instant started = process.startInstant().orElse(Instant.now());
        Runtime memory = Runtime.getRuntime();
        LOG.info(
                "first picture in full {} ms after the start, {} ms of processor time, {} MB of"
                        + " memory in use",
                Duration.between(started, Instant.now()).toMillis(),
                process.totalCpuDuration().orElse(Duration.ZERO).toMillis(),
                (memory.totalMemory() - memory.freeMemory()) >> 20);
    }
}
