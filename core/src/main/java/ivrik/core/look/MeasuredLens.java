package ivrik.core.look;

import ivrik.core.measure.LensMatch.Channels;
import ivrik.core.measure.LensMatch.Fit;
import ivrik.core.motion.Value;
import ivrik.core.separation.Rgb;
import ivrik.core.treatment.Lens;

/** Looks of a lens that was measured: green is held, red and blue lie as they were found. */
public final class MeasuredLens {
    private static final double PER_CENT = 100;

    private MeasuredLens() {}

    /**
     * The look that gives a picture the same fringes.
     *
     * @param picture that it was measured on, in words
     */
    public static Look on(Channels lens, String picture) {
        return look("lens", "Lens of " + picture, lens, 1, picture);
    }

    /** The look that takes such fringes out of a picture. */
    public static Look off(Channels lens, String picture) {
        return look("lens-off", "Without the lens of " + picture, lens, -1, picture);
    }

    private static Look look(String name, String title, Channels lens, int sign, String picture) {
        return Look.atRest(name, new Rgb(), new Lens())
                .withTitle(title)
                .withNote("Measured on " + picture + ".")
                .withAmounts(0, 0, a -> amounts(a, lens.red(), sign))
                .withAmounts(0, 2, a -> amounts(a, lens.blue(), sign));
    }

    private static Amounts amounts(Amounts rest, Fit fit, int sign) {
        return rest.with("k0", Value.of(sign * PER_CENT * fit.k0()))
                .with("k1", Value.of(sign * PER_CENT * fit.k1()))
                .with("k2", Value.of(sign * PER_CENT * fit.k2()));
    }
}
