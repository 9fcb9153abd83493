package ivrik.core.treatment;

import ivrik.core.motion.Hash;

/** Randomness of treatments: a hash of seed, frame and lane. */
final class Live {
    private static final int ALL_LANES = -1;

    private Live() {}

    /**
     * The key of a moment.
     *
     * @param alike whether all lanes have the same
     */
    static long key(Settings settings, boolean alike) {
        long hold = Math.max(1, Math.round(settings.number("hold")));
        return Hash.of(
                (long) settings.number("seed"),
                Math.floorDiv(settings.moment().frame(), hold),
                alike ? ALL_LANES : settings.moment().lane());
    }
}
