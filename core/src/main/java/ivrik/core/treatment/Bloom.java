package ivrik.core.treatment;

import ivrik.core.filter.Halo;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.threads.Workers;

/**
 * Blurs light and returns the increase, to be added to a picture. Decreases are returned in the share
 * {@code kept}; with all of them the mean stays the same.
 */
public final class Bloom implements ChannelTreatment {
    static final Parameter STRENGTH =
            Parameter.percent("strength", "strength", 0, 400, 100).setting();
    static final Parameter RADIUS =
            Parameter.of("radius", "radius", "px", 0, 1000, 24, 1).setting();
    static final Parameter TAIL = Parameter.percent("tail", "tail", 0, 100, 60).setting();
    static final Parameter KEEP =
            Parameter.percent("conserve-energy", "conserve energy", 0, 100, 0).setting();

    /** Sigmas per radius. */
    private static final double RADIUS_SIGMAS = 2;

    private static final Description DESCRIPTION =
            Description.of(
                            "bloom",
                            "Bloom",
                            "Outputs only the light that a channel scatters, without the channel"
                                    + " itself; blend it with Add.",
                            TreatmentGroup.TONE,
                            Control.RULER,
                            Parameter.amount(0).example(100, 100),
                            STRENGTH,
                            RADIUS,
                            TAIL,
                            KEEP)
                    .with(Trait.SPREADS)
                    .called("glow", "bloom", "halo", "halation");

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Rows apply(Plane channel, Settings settings, Context context) {
        return gained(
                channel,
                sigma(settings.number(RADIUS.name()), context.scale()),
                settings.share(TAIL.name()),
                Gain.of(settings.share(STRENGTH.name()), settings.share(KEEP.name())),
                context.workers());
    }

    /**
     * @param radiusPx in pixels of the full-size sequence
     * @param scale rendered pixels per pixel of the full-size sequence
     */
    static double sigma(double radiusPx, double scale) {
        return radiusPx * scale / RADIUS_SIGMAS;
    }

    /** The increase of light, times the strength; the picture is mirrored at its edges. */
    private static Rows gained(Plane light, double sigma, double tail, Gain gain, Workers workers) {
        if (gain.by() == 0 || sigma == 0 || light.isFlat(light.at(0, 0))) {
            return Rows.of(Plane.of(light.width(), light.height()));
        }
        return ChannelRows.of(
                Rows.of(light),
                Halo.of(Rows.of(light), sigma, tail, EdgeFill.MIRROR, workers),
                (was, is, gained, n) -> {
                    System.arraycopy(is, 0, gained, 0, n);
                    gain.of(was, gained, 0, n);
                });
    }

    /**
     * Weights of the change.
     *
     * @param by weight of an increase
     * @param kept weight of a decrease
     */
    record Gain(float by, float kept) {
        static Gain of(double strength, double keep) {
            return new Gain((float) (keep > 0 ? Math.min(1, strength) : strength), (float) keep);
        }

        /** Replaces blurred light by the weighted change, in a range of indices. */
        void of(float[] was, float[] arriving, int from, int to) {
            for (int i = from; i < to; i++) {
                float more = arriving[i] - was[i];
                float gained = 0.5f * (more + Math.abs(more));
                arriving[i] = by * (gained + kept * (more - gained));
            }
        }
    }
}
