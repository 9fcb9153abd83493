package ivrik.core.threads;

/** The work was given up because nobody wants its result any more; not a fault. */
public final class CancelledException extends RuntimeException {
    public CancelledException() {
        super("cancelled", null, false, false);
    }
}
