package ivrik.core.treatment;

import ivrik.core.filter.Halo;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.threads.Workers;

/**
 * Spreads light about where it falls and leaves what more arrives than was there, for it to be added to a
 * picture. Where less arrives, as much of that as is kept is taken away; all of it leaves the mean as it was.
 */
public final class SpreadLight implements LaneTreatment {
    static final Parameter STRENGTH =
            Parameter.percent("strength", "strength", 0, 400, 100).setting();
    static final Parameter RADIUS =
            Parameter.of("radius", "radius", "px", 0, 1000, 24, 1).setting();
    static final Parameter TAIL = Parameter.percent("tail", "long tail", 0, 100, 60).setting();
    static final Parameter KEEP = Parameter.percent("keep", "kept light", 0, 100, 0).setting();

    /** A radius is so many sigmas. */
    private static final double RADIUS_SIGMAS = 2;

    private static final Description DESCRIPTION =
            Description.of(
                            "spread-light",
                            "Spread light",
                            "Leaves only the light that spreads out of a lane's bright places, to"
                                    + " be added to a picture.",
                            Group.TONE,
                            Control.RULER,
                            Parameter.amount(0).shown(100, 100),
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
    public Rows apply(Plane lane, Settings settings, Context context) {
        return gained(
                lane,
                sigma(settings.number(RADIUS.name()), context.scale()),
                settings.share(TAIL.name()),
                Gain.of(settings.share(STRENGTH.name()), settings.share(KEEP.name())),
                context.workers());
    }

    /**
     * @param radiusPx of the full-size sequence
     * @param scale pixels of the picture to one of the full-size sequence
     */
    static double sigma(double radiusPx, double scale) {
        return radiusPx * scale / RADIUS_SIGMAS;
    }

    /** What more light arrives than was there, by its strength; beyond the edges lies the picture mirrored. */
    private static Rows gained(Plane light, double sigma, double tail, Gain gain, Workers workers) {
        if (gain.by() == 0 || sigma == 0 || light.isFlat(light.at(0, 0))) {
            return Rows.of(Plane.of(light.width(), light.height()));
        }
        return LaneRows.of(
                Rows.of(light),
                Halo.of(Rows.of(light), sigma, tail, EdgeFill.MIRROR, workers),
                (was, is, gained, n) -> {
                    System.arraycopy(is, 0, gained, 0, n);
                    gain.of(was, gained, 0, n);
                });
    }

    /**
     * What is added of the light that arrives.
     *
     * @param by how much of it
     * @param kept how much of what less arrives is taken away
     */
    record Gain(float by, float kept) {
        static Gain of(double strength, double keep) {
            return new Gain((float) (keep > 0 ? Math.min(1, strength) : strength), (float) keep);
        }

        /** Replaces what arrives by what is added, from one place on, up to another. */
        void of(float[] was, float[] arriving, int from, int to) {
            for (int i = from; i < to; i++) {
                float more = arriving[i] - was[i];
                float gained = 0.5f * (more + Math.abs(more));
                arriving[i] = by * (gained + kept * (more - gained));
            }
        }
    }
}
