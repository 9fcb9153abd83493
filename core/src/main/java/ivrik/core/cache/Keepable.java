package ivrik.core.cache;

import java.util.Collection;

/** A result that says which arrays of words or floats it holds. */
public interface Keepable {
    Collection<?> arrays();
}
