package ivrik.core.treatment;

import ivrik.core.filter.Affine;
import ivrik.core.filter.Warp;
import ivrik.core.picture.Size;
import ivrik.core.sampling.EdgeFill;

/**
 * Travels over copies of a lane that are laid edge to edge: by whole tiles it is back where it was. Beyond
 * the picture is what the edge fill says: copies of it, unless another is chosen.
 */
public final class Tiles implements Move {
    private static final double FAR = 1000;
    private static final Description DESCRIPTION =
            Description.of(
                            "tiles",
                            "Tiles",
                            "Travels over copies of the picture that are laid edge to edge; by"
                                    + " whole tiles it is back where it was.",
                            Group.MOVES,
                            Control.RULER,
                            Parameter.of("x", "across", Parameter.TILES, -FAR, FAR, 0, 0.1)
                                    .shown(0.1, -0.1),
                            Parameter.of("y", "down", Parameter.TILES, -FAR, FAR, 0, 0.1))
                    .with(Trait.SPREADS);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public EdgeFill usualEdgeFill() {
        return EdgeFill.WRAP;
    }

    @Override
    public boolean isNeutral(Settings settings) {
        boolean copies = settings.edgeFill() == EdgeFill.WRAP;
        return Move.super.isNeutral(settings)
                || copies && isWhole(settings.number("x")) && isWhole(settings.number("y"));
    }

    private static boolean isWhole(double tiles) {
        return tiles == Math.rint(tiles);
    }

    @Override
    public Warp warp(Settings settings, Size size, Context context) {
        return Affine.moved(
                settings.number("x") * size.width(), settings.number("y") * size.height());
    }

    /** Copies cover all. */
    @Override
    public boolean keepsEdge(Settings settings) {
        return settings.edgeFill() == EdgeFill.WRAP;
    }
}
