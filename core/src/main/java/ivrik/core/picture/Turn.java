package ivrik.core.picture;

/**
 * A picture turned about its middle and laid into another size, its middle off that one's middle.
 * Exact where it is not turned and lies on whole pixels.
 */
public final class Turn {
    private final double cos;
    private final double sin;
    private final double left;
    private final double top;
    private final Size size;

    /**
     * @param picture the size of what is turned
     * @param size of the result
     * @param angleDegrees clockwise
     * @param x the picture's middle off the result's, to the right, in pixels
     * @param y the same, down
     */
    public Turn(Size picture, Size size, double angleDegrees, double x, double y) {
        this.size = size;
        double quarter = angleDegrees / 90;
        // whole quarters are exact
        boolean whole = quarter == Math.rint(quarter);
        int quarters = Math.floorMod((long) quarter, 4);
        double a = Math.toRadians(angleDegrees);
        cos = whole ? new double[] {1, 0, -1, 0}[quarters] : StrictMath.cos(a);
        sin = whole ? new double[] {0, 1, 0, -1}[quarters] : StrictMath.sin(a);
        // the picture's position of the first pixel's middle, as an index
        double mx = 0.5 - size.width() / 2.0 - x;
        double my = 0.5 - size.height() / 2.0 - y;
        left = cos * mx + sin * my + picture.width() / 2.0 - 0.5;
        top = -sin * mx + cos * my + picture.height() / 2.0 - 0.5;
    }

    /** One plane of the picture's size. */
    public Plane of(Plane in, EdgeFill fill, Sampler sampler, Workers workers) {
        Plane out = Plane.of(size.width(), size.height());
        workers.rows(
                size.height(),
                (from, to) -> {
                    for (int y = from; y < to; y++) {
                        row(in, fill, sampler, y, out.data(), out.row(y));
                    }
                });
        return out;
    }

    private void row(Plane in, EdgeFill fill, Sampler sampler, int y, float[] out, int o) {
        int taps = sampler.taps();
        for (int x = 0; x < size.width(); x++) {
            double u = left + cos * x + sin * y;
            double v = top - sin * x + cos * y;
            int i = (int) Math.floor(u);
            int j = (int) Math.floor(v);
            if (fill == EdgeFill.EMPTY
                    && (i < -taps
                            || j < -taps
                            || i > in.width() + taps
                            || j > in.height() + taps)) {
                continue;
            }
            out[o + x] = sample(in, fill, sampler, i, j, u - i, v - j);
        }
    }

    private static float sample(
            Plane in, EdgeFill fill, Sampler sampler, int i, int j, double fx, double fy) {
        float sum = 0;
        int first = sampler.firstTap();
        for (int k = 0; k < sampler.taps(); k++) {
            double wy = sampler.weight(Math.abs(fy - (first + k)));
            int y = wy == 0 ? -1 : fill.inside(j + first + k, in.height());
            if (y < 0) {
                continue;
            }
            float along = 0;
            for (int l = 0; l < sampler.taps(); l++) {
                double wx = sampler.weight(Math.abs(fx - (first + l)));
                int x = wx == 0 ? -1 : fill.inside(i + first + l, in.width());
                if (x >= 0) {
                    along += (float) wx * in.data()[in.row(y) + x];
                }
            }
            sum += (float) wy * along;
        }
        return sum;
    }
}
