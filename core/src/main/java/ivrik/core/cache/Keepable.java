package ivrik.core.cache;

import java.util.Collection;

/** A result that says which arrays of words, floats or bytes it holds. */
public interface Keepable {
    Collection<?> arrays();
}
