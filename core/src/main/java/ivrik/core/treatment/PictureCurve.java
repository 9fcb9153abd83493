package ivrik.core.treatment;

import ivrik.core.colour.Transfer;
import ivrik.core.colour.TransferTable;
import ivrik.core.picture.ColourRows;

/**
 * One curve through points for all channels, or for one of them; see {@link Curve} for what lies between and beyond
 * the points.
 */
public final class PictureCurve implements ThroughPoints {
    private static final Option LIGHT = Light.choice(Light.DELIVERED, Light.LINEAR);
    private static final Option OF =
            new Option("of", "curve of", "Which channels it is for", "all", "red", "green", "blue");

    private static final Description DESCRIPTION =
            Description.of(
                            "picture-curve",
                            "Picture curve",
                            "Changes what comes out for what goes in by one curve for the whole"
                                    + " picture, or one of its channels.",
                            Group.WHOLE,
                            Control.PLOT)
                    .choosing(LIGHT, OF)
                    .listing(Curve.SERIES)
                    .with(Trait.POINTWISE, Trait.BY_CHANNEL);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public ColourRows apply(ColourRows picture, Settings settings, PictureContext context) {
        boolean linear = Light.isLinear(settings, LIGHT);
        TransferTable table = Curve.table(settings, linear ? context.transfer() : Transfer.LINEAR);
        int only = OF.words().indexOf(settings.word(OF)) - 1;
        return only < 0
                ? Light.through(picture, table)
                : picture.then((rgb, n) -> table.apply(rgb[only], n));
    }
}
