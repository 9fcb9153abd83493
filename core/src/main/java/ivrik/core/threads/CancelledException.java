package ivrik.core.threads;

/** Work was cancelled because its result is no longer wanted. Not an error. */
public final class CancelledException extends RuntimeException {
    public CancelledException() {
        super("cancelled", null, false, false);
    }
}
