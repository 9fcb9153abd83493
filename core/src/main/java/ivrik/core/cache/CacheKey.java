package ivrik.core.cache;

/**
 * Everything that a result depends on, as a chain: the key of the previous result and one more input. Equal
 * keys stand for equal results. The hash of the chain is computed once, so that looking up a long chain costs
 * no more than looking up a short one.
 */
public final class CacheKey {
    private final CacheKey before;
    private final Object what;
    private final int hash;

    private CacheKey(CacheKey before, Object what) {
        this.before = before;
        this.what = what;
        this.hash = 31 * (before == null ? 7 : before.hash) + what.hashCode();
    }

    /**
     * A chain of one input.
     *
     * @param what immutable, with a correct {@code equals}
     */
    public static CacheKey of(Object what) {
        return new CacheKey(null, what);
    }

    /** This chain with one more input. */
    public CacheKey then(Object next) {
        return new CacheKey(this, next);
    }

    @Override
    public int hashCode() {
        return hash;
    }

    @Override
    public boolean equals(Object other) {
        if (!(other instanceof CacheKey o)) {
            return false;
        }
        CacheKey a = this;
        CacheKey b = o;
        while (a != b) {
            if (a == null || b == null || a.hash != b.hash || !a.what.equals(b.what)) {
                return false;
            }
            a = a.before;
            b = b.before;
        }
        return true;
    }

    @Override
    public String toString() {
        return (before == null ? "" : before + " > ") + what;
    }
}
