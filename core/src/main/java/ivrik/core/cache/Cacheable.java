package ivrik.core.cache;

import java.util.Collection;

/**
 * A result that lists the int, float or byte arrays it holds, so that the cache can count its memory.
 */
public interface Cacheable {
    Collection<?> arrays();
}
