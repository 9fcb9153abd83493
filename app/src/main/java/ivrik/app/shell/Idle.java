package ivrik.app.shell;

import java.time.Duration;
import java.util.function.LongSupplier;

/** Detects that nothing was requested for a while. */
final class Idle {
    private final LongSupplier nanos;
    private final long after;
    private long wanted;
    private boolean reported;

    /**
     * @param nanos provides the time in nanoseconds
     */
    Idle(Duration after, LongSupplier nanos) {
        this.after = after.toNanos();
        this.nanos = nanos;
        wanted();
    }

    void wanted() {
        wanted = nanos.getAsLong();
        reported = false;
    }

    /** True once per idle period. */
    boolean begins() {
        boolean begins = !reported && nanos.getAsLong() - wanted >= after;
        reported |= begins;
        return begins;
    }
}
