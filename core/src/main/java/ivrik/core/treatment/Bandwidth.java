package ivrik.core.treatment;

import ivrik.core.filter.Gaussian;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;

/**
 * What a channel of so many television lines leaves of a lane along its rows: its response has fallen to a
 * half at that many lines to the height of the picture, as 2^-(f/f0)^2, and after n passes to 2^-n(f/f0)^2. Ringing
 * adds what a value differs from the mean of its two neighbours half a period of f0 away, so the response is
 * that times 1 + r (1 - cos(pi f/f0)).
 */
public final class Bandwidth implements LaneTreatment {
    private static final double ALL_LINES = 4000;

    private static final Description DESCRIPTION =
            Description.of(
                            "bandwidth",
                            "Bandwidth",
                            "Leaves of a lane what a channel of so many television lines lets"
                                    + " through, with ringing at its edges.",
                            Group.BLUR,
                            Control.RULER,
                            Parameter.of("lines", "lines", "", 10, ALL_LINES, ALL_LINES, 10)
                                    .shown(60, 30),
                            Parameter.percent("ringing", "ringing", 0, 200, 0).shown(30, 0),
                            Parameter.of("passes", "passes", "", 1, 20, 1, 1).setting())
                    .with(Trait.SPREADS)
                    .called("tape", "low-pass", "resolution", "chroma", "bleed", "ringing");

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Rows apply(Plane lane, Settings settings, Context context) {
        double perPixel = settings.number("lines") / 2 / lane.height();
        double sigma =
                Math.sqrt(settings.number("passes") * StrictMath.log(2) / 2) / Math.PI / perPixel;
        double ringing = settings.share("ringing");
        return ringing == 0
                ? Gaussian.of(lane, sigma, 0, settings.edgeFill(), context.workers())
                : Gaussian.rung(lane, sigma, ringing, 0.5 / perPixel, settings.edgeFill());
    }
}
