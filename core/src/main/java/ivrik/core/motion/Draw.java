package ivrik.core.motion;

/**
 * What random numbers are drawn from.
 *
 * @param seed another seed, other numbers
 * @param origin of what they are drawn for: a hash of its names and the roll; {@link #ANYWHERE} where
 *     only the seed counts, so that all of one seed are alike
 */
public record Draw(long seed, long origin) {
    /** Only the seed counts. */
    public static final long ANYWHERE = 0;

    /** An origin by the names of what is drawn for, from the outermost inward. */
    public static long origin(long roll, String... names) {
        long hash = Hash.of(roll);
        for (String name : names) {
            hash = Hash.of(hash, Hash.of(name));
        }
        return hash == ANYWHERE ? 1 : hash;
    }

    /** The hash of a place among these numbers. */
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
