package ivrik.core.treatment;

import ivrik.core.filter.Affine;
import ivrik.core.filter.Warp;
import ivrik.core.picture.Size;
import ivrik.core.sampling.EdgeFill;

/**
 * Scrolls over tiled copies of a channel; whole tiles have no effect. The default edge fill repeats the
 * picture.
 */
public final class TiledScroll implements Move {
    private static final double FAR = 1000;
    private static final Description DESCRIPTION =
            Description.of(
                            "tiled-scroll",
                            "Tiled scroll",
                            "Scrolls a channel across copies of the picture set edge to edge; whole"
                                    + " numbers of tiles return to the start.",
                            TreatmentGroup.MOVES,
                            Control.RULER,
                            Parameter.of("x", "horizontal", Parameter.TILES, -FAR, FAR, 0, 0.1)
                                    .example(0.1, -0.1),
                            Parameter.of("y", "vertical", Parameter.TILES, -FAR, FAR, 0, 0.1))
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

    /** The copies cover everything. */
    @Override
    public boolean keepsEdge(Settings settings) {
        return settings.edgeFill() == EdgeFill.WRAP;
    }
}
