package ivrik.core.treatment;

import ivrik.core.picture.Size;

/** The centre of a treatment, in pixels from the centre of the picture. */
public final class Centre {
    private static final double FAR_PX = 20000;

    /** Horizontal offset. */
    public static final Parameter X =
            Parameter.px("centre-x", "centre x", -FAR_PX, FAR_PX).setting();

    /** Vertical offset. */
    public static final Parameter Y =
            Parameter.px("centre-y", "centre y", -FAR_PX, FAR_PX).setting();

    private Centre() {}

    static double x(Settings settings, Size size, Context context) {
        return size.width() / 2.0 + settings.number(X.name()) * context.scale();
    }

    static double y(Settings settings, Size size, Context context) {
        return size.height() / 2.0 + settings.number(Y.name()) * context.scale();
    }

    /** Half the diagonal of a picture. */
    static double halfDiagonal(Size size) {
        return StrictMath.hypot(size.width(), size.height()) / 2;
    }
}
