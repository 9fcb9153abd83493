package ivrik.app.shell;

import java.time.Duration;
import java.util.function.LongSupplier;

/** Whether nothing has been wanted for a while. */
final class Idle {
    private final LongSupplier nanos;
    private final long after;
    private long wanted;
    private boolean told;

    /**
     * @param nanos the time, in nanoseconds since whenever
     */
    Idle(Duration after, LongSupplier nanos) {
        this.after = after.toNanos();
        this.nanos = nanos;
        wanted();
    }

    void wanted() {
        wanted = nanos.getAsLong();
        told = false;
    }

    /** True once for each while of which nothing was wanted. */
    boolean begins() {
        boolean begins = !told && nanos.getAsLong() - wanted >= after;
        told |= begins;
        return begins;
    }
}
