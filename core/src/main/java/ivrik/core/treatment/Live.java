package ivrik.core.treatment;

import ivrik.core.filter.Noise.Origin;
import ivrik.core.filter.Noise.Spread;

/** Randomness of treatments: a hash of seed, step, frame and lane. */
final class Live {
    private static final int ALL_LANES = -1;

    /** For how many frames what is drawn stays. */
    static Parameter hold(double rest) {
        return Parameter.of("hold", "each lasts", "frames", 1, 1000, rest, 1).setting();
    }

    private Live() {}

    /** What a lane's noise is drawn from; {@code alike} says how much of it all lanes share. */
    static Origin origin(Settings settings, Spread spread) {
        return new Origin(
                key(settings, false), key(settings, true), settings.share("alike"), spread);
    }

    /**
     * The key of a moment.
     *
     * @param alike whether all lanes have the same
     */
    static long key(Settings settings, boolean alike) {
        long hold = Math.max(1, Math.round(settings.number("hold")));
        Settings.Moment moment = settings.moment();
        return moment.draw()
                .at(Math.floorDiv(moment.frame(), hold), alike ? ALL_LANES : moment.lane());
    }
}
