package ivrik.core.treatment;

import ivrik.core.filter.Gaussian;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;

/**
 * Limits horizontal resolution to a number of TV lines: the response falls to 1/2 at that many lines per
 * picture height, as 2^-(f/f0)^2, and to 2^-n(f/f0)^2 after n passes. Ringing adds the difference between a
 * value and the mean of its neighbours half a period of f0 away, which multiplies the response by 1 + r (1 -
 * cos(pi f/f0)).
 */
public final class BandwidthLimit implements ChannelTreatment {
    private static final double ALL_LINES = 4000;

    private static final Description DESCRIPTION =
            Description.of(
                            "bandwidth-limit",
                            "Bandwidth limit",
                            "Low-pass filter of a channel to a horizontal resolution in TV lines,"
                                    + " with ringing at edges.",
                            TreatmentGroup.BLUR,
                            Control.RULER,
                            Parameter.of(
                                            "resolution",
                                            "resolution, TV lines",
                                            "",
                                            10,
                                            ALL_LINES,
                                            ALL_LINES,
                                            10)
                                    .example(60, 30),
                            Parameter.percent("ringing", "ringing", 0, 200, 0).example(30, 0),
                            Parameter.of("generations", "generations", "", 1, 20, 1, 1).setting())
                    .with(Trait.SPREADS)
                    .called("tape", "low-pass", "resolution", "chroma", "bleed", "ringing");

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Rows apply(Plane channel, Settings settings, Context context) {
        double perPixel = settings.number("resolution") / 2 / channel.height();
        double sigma =
                Math.sqrt(settings.number("generations") * StrictMath.log(2) / 2)
                        / Math.PI
                        / perPixel;
        double ringing = settings.share("ringing");
        return ringing == 0
                ? Gaussian.of(channel, sigma, 0, settings.edgeFill(), context.workers())
                : Gaussian.rung(channel, sigma, ringing, 0.5 / perPixel, settings.edgeFill());
    }
}
