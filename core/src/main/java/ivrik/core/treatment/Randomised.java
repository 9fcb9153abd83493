package ivrik.core.treatment;

import ivrik.core.filter.Noise.Origin;
import ivrik.core.filter.Noise.Spread;

/** Randomness of treatments: a hash of seed, step, frame and channel. */
final class Randomised {
    private static final int ALL_CHANNELS = -1;

    /** Number of frames for which a random selection stays. */
    static Parameter hold(double rest) {
        return Parameter.of("hold", "hold", "frames", 1, 1000, rest, 1).setting();
    }

    private Randomised() {}

    /**
     * Origin of a channel's noise.
     *
     * @param common share that all channels have in common, 0 to 1
     */
    static Origin origin(Settings settings, double common, Spread spread) {
        return new Origin(key(settings, false), key(settings, true), common, spread);
    }

    /**
     * Hash key of a moment.
     *
     * @param shared whether all channels share the key
     */
    static long key(Settings settings, boolean shared) {
        long hold = Math.max(1, Math.round(settings.number("hold")));
        Settings.Moment moment = settings.moment();
        return moment.draw()
                .at(Math.floorDiv(moment.frame(), hold), shared ? ALL_CHANNELS : moment.channel());
    }
}
