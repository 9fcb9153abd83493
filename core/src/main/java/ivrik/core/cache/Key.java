package ivrik.core.cache;

/**
 * All that a result depends on, as what came before and one thing more: a chain. Two equal keys have the
 * same result. Its hash is that of the whole chain, worked out once, so that a long one costs no more
 * than a short one to look up.
 */
public final class Key {
    private final Key before;
    private final Object what;
    private final int hash;

    private Key(Key before, Object what) {
        this.before = before;
        this.what = what;
        this.hash = 31 * (before == null ? 7 : before.hash) + what.hashCode();
    }

    /** The key of what depends on one thing; it has a right {@code equals} and never changes. */
    public static Key of(Object what) {
        return new Key(null, what);
    }

    /** The key of what is made of this one's result by one thing more. */
    public Key then(Object next) {
        return new Key(this, next);
    }

    @Override
    public int hashCode() {
        return hash;
    }

    @Override
    public boolean equals(Object other) {
        if (!(other instanceof Key o)) {
            return false;
        }
        Key a = this;
        Key b = o;
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
