package ivrik.core.threads;

import java.util.function.Supplier;

/** Tells whether a result is still wanted. */
@FunctionalInterface
public interface Cancellation {
    Cancellation NEVER = () -> false;

    /** Cancellation of the work that this thread and its workers are doing. */
    ScopedValue<Cancellation> CURRENT = ScopedValue.newInstance();

    boolean isCancelled();

    /**
     * @throws CancelledException if the result is no longer wanted
     */
    default void check() {
        if (isCancelled()) {
            throw new CancelledException();
        }
    }

    /**
     * Runs work that {@link #poll} can cancel, on any thread of the pool.
     *
     * @throws CancelledException if the result is no longer wanted
     */
    default <T> T during(Supplier<T> work) {
        return ScopedValue.where(CURRENT, this).call(work::get);
    }

    /**
     * Cancels the current work of this thread if its result is no longer wanted. Called about once per row.
     */
    static void poll() {
        CURRENT.orElse(NEVER).check();
    }
}
