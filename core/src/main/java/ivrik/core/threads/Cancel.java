package ivrik.core.threads;

/** Whether a result is still wanted. */
@FunctionalInterface
public interface Cancel {
    Cancel NEVER = () -> false;

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
}
