package ivrik.core.treatment;

import ivrik.core.filter.RadialWarp;
import ivrik.core.filter.Warp;
import ivrik.core.picture.Size;

/**
 * Radial lens distortion: the point at distance r from the centre moves to r (1 + k0 + k1 r^2 + k2 r^4), with
 * r in half diagonals. In per cent: k0 alone is the shift of the corner.
 */
public final class LensDistortion implements Move {
    private static final Description DESCRIPTION =
            Description.of(
                            "lens-distortion",
                            "Lens distortion",
                            "Radial distortion per channel: lateral chromatic aberration, growing"
                                    + " towards the corners.",
                            TreatmentGroup.MOVES,
                            Control.LENS,
                            Parameter.percent("k0", "scale (k0)", -50, 50, 0)
                                    .stepping(0.1)
                                    .example(0.6, -0.6),
                            Parameter.percent("k1", "distortion (k1)", -100, 100, 0)
                                    .stepping(0.1)
                                    .example(1, -1),
                            Parameter.percent("k2", "distortion, corner (k2)", -100, 100, 0)
                                    .stepping(0.1),
                            Centre.X,
                            Centre.Y)
                    .with(Trait.SPREADS);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Warp warp(Settings settings, Size size, Context context) {
        double x = Centre.x(settings, size, context);
        double y = Centre.y(settings, size, context);
        double unit = Centre.halfDiagonal(size);
        double farthest = unit + StrictMath.hypot(x - size.width() / 2.0, y - size.height() / 2.0);
        return new RadialWarp(
                x,
                y,
                unit,
                farthest / unit,
                settings.share("k0"),
                settings.share("k1"),
                settings.share("k2"));
    }

    @Override
    public Warp outline(Settings settings, Size size) {
        return RadialWarp.outline(
                Centre.x(settings, size, ValidRegionFinder.WHOLE),
                Centre.y(settings, size, ValidRegionFinder.WHOLE),
                Centre.halfDiagonal(size),
                settings.share("k0"),
                settings.share("k1"),
                settings.share("k2"));
    }

    /** The distorted radius, in the same unit. */
    public static double magnified(Settings settings, double r) {
        return RadialWarp.magnified(
                r, settings.share("k0"), settings.share("k1"), settings.share("k2"));
    }
}
