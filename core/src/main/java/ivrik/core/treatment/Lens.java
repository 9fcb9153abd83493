package ivrik.core.treatment;

import ivrik.core.filter.RadialWarp;
import ivrik.core.filter.Warp;
import ivrik.core.picture.Size;

/**
 * Magnifies a lane as a lens does: what lies at distance r from the centre comes to r (1 + k0 + k1 r^2
 * + k2 r^4), r in units of half the diagonal. In per cent: k0 alone is how much further out the corner
 * comes.
 */
public final class Lens implements Move {
    private static final Description DESCRIPTION =
            Description.of(
                            "lens",
                            "Lens",
                            "Magnifies a lane outward as a poor lens does, so that the lanes part"
                                    + " towards the corners.",
                            Group.MOVES,
                            Control.LENS,
                            Parameter.percent("k0", "all over k0", -50, 50, 0)
                                    .stepping(0.1)
                                    .shown(0.6, -0.6),
                            Parameter.percent("k1", "outward k1", -100, 100, 0)
                                    .stepping(0.1)
                                    .shown(1, -1),
                            Parameter.percent("k2", "corner k2", -100, 100, 0).stepping(0.1),
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

    /** How far out a place at {@code r} comes, in the same unit. */
    public static double magnified(Settings settings, double r) {
        return RadialWarp.magnified(
                r, settings.share("k0"), settings.share("k1"), settings.share("k2"));
    }
}
