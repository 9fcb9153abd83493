package ivrik.core.motion;

/**
 * Key of random numbers.
 *
 * @param seed chosen by the user
 * @param origin hash of the owner's names and the variation; {@link #ANYWHERE} if only the seed counts, so
 *     that owners with equal seeds share their numbers
 */
public record RandomKey(long seed, long origin) {
    /** Only the seed counts. */
    public static final long ANYWHERE = 0;

    /** An origin from the names of the owner, outermost first. */
    public static long origin(long variation, String... names) {
        long hash = Hash.of(variation);
        for (String name : names) {
            hash = Hash.of(hash, Hash.of(name));
        }
        return hash == ANYWHERE ? 1 : hash;
    }

    /** The hash of a position. */
    public long at(long... place) {
        long[] parts = new long[place.length + (origin == ANYWHERE ? 1 : 2)];
        parts[0] = seed;
        System.arraycopy(place, 0, parts, 1, place.length);
        if (origin != ANYWHERE) {
            parts[parts.length - 1] = origin;
        }
        return Hash.of(parts);
    }
}
