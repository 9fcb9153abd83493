package ivrik.core.filter;

/** Affine mapping from target to source: x' = xx x + xy y + x0, y' = yx x + yy y + y0. */
public record Affine(double xx, double xy, double x0, double yx, double yy, double y0)
        implements Warp {
    public static final Affine NONE = new Affine(1, 0, 0, 0, 1, 0);

    /** Moves a picture right and down, in px. */
    public static Affine moved(double right, double down) {
        return new Affine(1, 0, -right, 0, 1, -down);
    }

    /** Scales a picture about a point; a negative factor flips it. */
    public static Affine scaled(double across, double down, double aboutX, double aboutY) {
        double a = 1 / across;
        double d = 1 / down;
        return new Affine(a, 0, aboutX - a * aboutX, 0, d, aboutY - d * aboutY);
    }

    /** Rotates a picture about a point, clockwise on screen. Exact at multiples of 90 degrees. */
    public static Affine turned(double degrees, double aboutX, double aboutY) {
        double turns = degrees / 90 - 4 * Math.floor(degrees / 360);
        double c = turns == 0 ? 1 : turns == 1 || turns == 3 ? 0 : turns == 2 ? -1 : cos(degrees);
        double s = turns == 0 || turns == 2 ? 0 : turns == 1 ? 1 : turns == 3 ? -1 : sin(degrees);
        return new Affine(
                c, s, aboutX - c * aboutX - s * aboutY, -s, c, aboutY + s * aboutX - c * aboutY);
    }

    private static double cos(double degrees) {
        return StrictMath.cos(Math.toRadians(degrees));
    }

    private static double sin(double degrees) {
        return StrictMath.sin(Math.toRadians(degrees));
    }

    @Override
    public void back(double[] x, double[] y, int n) {
        for (int i = 0; i < n; i++) {
            double at = x[i];
            x[i] = xx * at + xy * y[i] + x0;
            y[i] = yx * at + yy * y[i] + y0;
        }
    }

    /** This mapping followed by another. */
    public Affine then(Affine next) {
        return new Affine(
                xx * next.xx + xy * next.yx,
                xx * next.xy + xy * next.yy,
                xx * next.x0 + xy * next.y0 + x0,
                yx * next.xx + yy * next.yx,
                yx * next.xy + yy * next.yy,
                yx * next.x0 + yy * next.y0 + y0);
    }

    /** Whether the mapping is a translation. */
    public boolean isTranslation() {
        return xx == 1 && xy == 0 && yx == 0 && yy == 1;
    }

    /** Whether each target row maps to one source row, without rotation or shear. */
    public boolean isUpright() {
        return xy == 0 && yx == 0;
    }
}
