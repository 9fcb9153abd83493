package ivrik.core.motion;

/**
 * Stateless random numbers: the same integers give the same number, on any thread and in any order. The
 * mixing function is that of SplitMix64 (Steele, Lea, Flood 2014).
 */
public final class Hash {
    private Hash() {}

    /** A number in -1..1, uniformly distributed. */
    public static double signed(long... parts) {
        return (of(parts) >> 11) * 0x1p-52;
    }

    public static long of(long... parts) {
        long h = 0x9e3779b97f4a7c15L;
        for (long part : parts) {
            h = mix(h + part * 0xbf58476d1ce4e5b9L + 0x9e3779b97f4a7c15L);
        }
        return h;
    }

    /** The hash of a name. */
    public static long of(String name) {
        long h = name.length();
        for (int i = 0; i < name.length(); i++) {
            h = of(h, name.charAt(i));
        }
        return h;
    }

    private static long mix(long z) {
        z = (z ^ (z >>> 30)) * 0xbf58476d1ce4e5b9L;
        z = (z ^ (z >>> 27)) * 0x94d049bb133111ebL;
        return z ^ (z >>> 31);
    }
}
