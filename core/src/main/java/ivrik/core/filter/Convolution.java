package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.picture.RowArithmetic;
import ivrik.core.sampling.EdgeFill;

/**
 * Convolution with a small kernel. The kernel is applied as it is displayed, without flipping (correlation).
 */
public final class Convolution implements FilteredRows {
    private final Plane in;
    private final float[] weights;
    private final int side;
    private final float offset;
    private final EdgeFill fill;

    /**
     * @param weights odd number of rows of the same odd length, row by row
     * @param offset added to each sum
     */
    public Convolution(Plane in, float[] weights, float offset, EdgeFill fill) {
        this.in = in;
        this.weights = weights.clone();
        this.side = (int) Math.round(Math.sqrt(weights.length));
        this.offset = offset;
        this.fill = fill;
        if (side * side != weights.length || side % 2 == 0) {
            throw new IllegalArgumentException("a kernel is a square with a middle");
        }
    }

    /**
     * Converts a kernel whose weights are {@code spacing} pixels apart to a kernel on whole pixels, by
     * distributing each weight to the neighbouring pixels. Used for reduced previews.
     */
    public static float[] spaced(float[] weights, double spacing) {
        int side = (int) Math.round(Math.sqrt(weights.length));
        int radius = (int) Math.ceil(side / 2 * spacing);
        int n = 2 * radius + 1;
        double[] sum = new double[n * n];
        for (int j = 0; j < side; j++) {
            for (int i = 0; i < side; i++) {
                double x = (i - side / 2) * spacing + radius;
                double y = (j - side / 2) * spacing + radius;
                int left = Math.min((int) x, n - 1);
                int top = Math.min((int) y, n - 1);
                int right = Math.min(left + 1, n - 1);
                int bottom = Math.min(top + 1, n - 1);
                double fx = x - left;
                double fy = y - top;
                double w = weights[j * side + i];
                sum[top * n + left] += w * (1 - fx) * (1 - fy);
                sum[top * n + right] += w * fx * (1 - fy);
                sum[bottom * n + left] += w * (1 - fx) * fy;
                sum[bottom * n + right] += w * fx * fy;
            }
        }
        float[] out = new float[n * n];
        for (int i = 0; i < out.length; i++) {
            out[i] = (float) sum[i];
        }
        return out;
    }

    @Override
    public Plane in() {
        return in;
    }

    @Override
    public Reader reader() {
        int radius = side / 2;
        int width = in.width();
        RowBuffer rows = new RowBuffer(in, fill, side, -radius, RowArithmetic.room(width) + side);
        float[] sum = new float[RowArithmetic.room(width)];
        return (y, out, o) -> {
            java.util.Arrays.fill(sum, offset);
            for (int j = 0; j < side; j++) {
                for (int i = 0; i < side; i++) {
                    float w = weights[j * side + i];
                    if (w != 0) {
                        RowArithmetic.add(rows.row(y + j - radius), i, w, sum, width);
                    }
                }
            }
            System.arraycopy(sum, 0, out, o, width);
        };
    }
}
