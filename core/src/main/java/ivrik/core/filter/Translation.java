package ivrik.core.filter;

import ivrik.core.picture.RowArithmetic;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;

import java.util.Arrays;

/**
 * Rows sampled at a constant offset. Rows are blended vertically first, and the blend horizontally, in loops
 * that vectorise. An integer offset in one direction has the single weight 1, so that nothing is rounded.
 */
final class Translation implements Rows {
    private final Rows in;
    private final EdgeFill fill;
    private final Axis across;
    private final Axis down;

    /** {@code in} moved right by {@code dx} and down by {@code dy} of its own pixels. */
    Translation(Rows in, double dx, double dy, EdgeFill fill, Sampler sampler) {
        this.in = in;
        this.fill = fill;
        this.across = Axis.of(dx, sampler);
        this.down = Axis.of(dy, sampler);
    }

    /** One direction: the first sample relative to the target, and the weights. */
    private record Axis(int first, float[] weights) {
        static Axis of(double distance, Sampler sampler) {
            double source = -distance;
            double whole = Math.floor(source);
            double fraction = source - whole;
            return fraction == 0
                    ? new Axis((int) whole, new float[] {1})
                    : new Axis((int) whole + sampler.firstTap(), sampler.weights(fraction));
        }
    }

    @Override
    public Size size() {
        return in.size();
    }

    @Override
    public Reader reader() {
        return new Blender();
    }

    /**
     * Computes rows on one thread. Source rows are cached with samples beyond both edges, so that each is
     * fetched once when rows are read in order.
     */
    private final class Blender implements Reader {
        private final int count = in.width() + across.weights.length - 1;
        private final RowBuffer rows =
                new RowBuffer(in, fill, down.weights.length, across.first, count);
        private final float[][] above = new float[down.weights.length][];
        private final float[][] beside = new float[across.weights.length][in.width()];
        private final float[] blend = new float[count];
        private final float[] row = new float[in.width()];

        @Override
        public void row(int y, float[] out, int o) {
            for (int j = 0; j < above.length; j++) {
                above[j] = rows.row(y + down.first + j);
            }
            float[] blended = sum(above, down.weights, blend);
            beside[0] = blended;
            for (int i = 1; i < beside.length; i++) {
                System.arraycopy(blended, i, beside[i], 0, row.length);
            }
            System.arraycopy(sum(beside, across.weights, row), 0, out, o, in.width());
        }
    }

    /** Weighted sum of rows; a single row with weight 1 is returned as it is. */
    private static float[] sum(float[][] rows, float[] w, float[] out) {
        switch (w.length) {
            case 1 -> {
                return rows[0];
            }
            case 2 -> RowArithmetic.two(rows[0], rows[1], w[0], w[1], out);
            case 4 -> RowArithmetic.four(rows, w, 0, out);
            default -> {
                Arrays.fill(out, 0f);
                for (int j = 0; j < w.length; j++) {
                    RowArithmetic.add(rows[j], w[j], out);
                }
            }
        }
        return out;
    }
}
