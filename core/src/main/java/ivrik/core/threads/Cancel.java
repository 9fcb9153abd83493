package ivrik.core.threads;

import java.util.function.Supplier;

/** Whether a result is still wanted. */
@FunctionalInterface
public interface Cancel {
    Cancel NEVER = () -> false;

    /** What this thread is at work on, and the workers that help it. */
    ScopedValue<Cancel> CURRENT = ScopedValue.newInstance();

    boolean isCancelled();

    /**
     * Gives up if the result is no longer wanted.
     *
     * @throws CancelledException then
     */
    default void check() {
        if (isCancelled()) {
            throw new CancelledException();
        }
    }

    /**
     * Does work that {@link #poll} gives up, on whichever thread it is asked.
     *
     * @throws CancelledException when the result is no longer wanted
     */
    default <T> T during(Supplier<T> work) {
        return ScopedValue.where(CURRENT, this).call(work::get);
    }

    /** Gives up what this thread is at work on if it is no longer wanted; asked for every row or so. */
    static void poll() {
        CURRENT.orElse(NEVER).check();
    }
}
