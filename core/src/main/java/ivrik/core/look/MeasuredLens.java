package ivrik.core.look;

import ivrik.core.measure.LensMatch.Channels;
import ivrik.core.measure.LensMatch.Fit;
import ivrik.core.motion.Value;
import ivrik.core.separation.Rgb;
import ivrik.core.treatment.LensDistortion;

/** Looks from a measured lens: green is fixed, red and blue follow the measurement. */
public final class MeasuredLens {
    private static final double PER_CENT = 100;

    private MeasuredLens() {}

    /**
     * A look that adds the measured aberration to a picture.
     *
     * @param picture name of the measured picture
     */
    public static Look on(Channels lens, String picture) {
        return look("lens", "Lens match: " + picture, lens, 1, picture);
    }

    /** A look that corrects the measured aberration. */
    public static Look off(Channels lens, String picture) {
        return look("lens-off", "Lens correction: " + picture, lens, -1, picture);
    }

    private static Look look(String name, String title, Channels lens, int sign, String picture) {
        return Look.atRest(name, new Rgb(), new LensDistortion())
                .withTitle(title)
                .withNote("Measured on " + picture + ".")
                .withSettings(0, 0, a -> settings(a, lens.red(), sign))
                .withSettings(0, 2, a -> settings(a, lens.blue(), sign));
    }

    private static ChannelSettings settings(ChannelSettings rest, Fit fit, int sign) {
        return rest.with("k0", Value.of(sign * PER_CENT * fit.k0()))
                .with("k1", Value.of(sign * PER_CENT * fit.k1()))
                .with("k2", Value.of(sign * PER_CENT * fit.k2()));
    }
}
