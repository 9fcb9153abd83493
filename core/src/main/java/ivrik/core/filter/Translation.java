package ivrik.core.filter;

import ivrik.core.picture.EdgeFill;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Sampler;

import java.util.Arrays;

/**
 * A plane sampled at a constant distance, rows first blended with each
 * other and the blend then with its neighbours, in loops that vectorise. Where a shift is whole in
 * one direction the kernel of that direction is the single weight 1, and nothing is rounded.
 */
final class Translation implements Rows {
    private final Plane in;
    private final EdgeFill fill;
    private final Axis across;
    private final Axis down;

    /** {@code in} moved right by {@code dx} and down by {@code dy} of its own pixels. */
    Translation(Plane in, double dx, double dy, EdgeFill fill, Sampler sampler) {
        this.in = in;
        this.fill = fill;
        this.across = Axis.of(dx, sampler);
        this.down = Axis.of(dy, sampler);
    }

    /** One direction: the first sample relative to the target, and the weights from there on. */
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
    public int width() {
        return in.width();
    }

    @Override
    public int height() {
        return in.height();
    }

    @Override
    public Reader reader() {
        return new Blender();
    }

    /**
     * Makes rows in one thread. The source rows it needs are kept, each with what lies outside on both
     * sides, so that in order each is fetched once. All loops run from 0 over arrays of their own: that
     * is what the compiler vectorises.
     */
    private final class Blender implements Reader {
        private final int count = in.width() + across.weights.length - 1;
        private final float[][] kept = new float[down.weights.length][count];
        private final long[] keptRow = new long[down.weights.length];
        private final float[] blend = new float[count];
        private final float[] row = new float[in.width()];
        private final float[][] moved = new float[across.weights.length][in.width()];

        Blender() {
            Arrays.fill(keptRow, Long.MIN_VALUE);
        }

        @Override
        public void row(int y, float[] out, int o) {
            float[] blended = blendRows(y);
            float[] along = across.weights.length == 1 ? blended : blendAlong(blended);
            System.arraycopy(along, 0, out, o, in.width());
        }

        private float[] blendRows(int y) {
            float[] w = down.weights;
            return switch (w.length) {
                case 1 -> source(y, 0);
                case 2 -> sum(source(y, 0), source(y, 1), w[0], w[1], blend);
                case 4 ->
                        sum(
                                source(y, 0),
                                source(y, 1),
                                source(y, 2),
                                source(y, 3),
                                w[0],
                                w[1],
                                w[2],
                                w[3],
                                blend);
                default -> {
                    Arrays.fill(blend, 0f);
                    for (int j = 0; j < w.length; j++) {
                        add(source(y, j), w[j], blend);
                    }
                    yield blend;
                }
            };
        }

        /** The row that the {@code j}-th weight applies to. */
        private float[] source(int y, int j) {
            long wanted = (long) y + down.first + j;
            int slot = (int) Math.floorMod(wanted, (long) kept.length);
            if (keptRow[slot] != wanted) {
                keptRow[slot] = wanted;
                fill.read(in, wanted, across.first, kept[slot], count);
            }
            return kept[slot];
        }

        private float[] blendAlong(float[] blended) {
            float[] w = across.weights;
            for (int i = 1; i < w.length; i++) {
                System.arraycopy(blended, i, moved[i], 0, row.length);
            }
            switch (w.length) {
                case 2 -> sum(blended, moved[1], w[0], w[1], row);
                case 4 -> sum(blended, moved[1], moved[2], moved[3], w[0], w[1], w[2], w[3], row);
                default -> {
                    Arrays.fill(row, 0f);
                    add(blended, w[0], row);
                    for (int i = 1; i < w.length; i++) {
                        add(moved[i], w[i], row);
                    }
                }
            }
            return row;
        }
    }

    private static void add(float[] in, float weight, float[] out) {
        for (int k = 0; k < out.length; k++) {
            out[k] += weight * in[k];
        }
    }

    private static float[] sum(float[] in, float[] next, float a, float b, float[] out) {
        for (int k = 0; k < out.length; k++) {
            out[k] = a * in[k] + b * next[k];
        }
        return out;
    }

    private static float[] sum(
            float[] r,
            float[] s,
            float[] t,
            float[] u,
            float a,
            float b,
            float c,
            float d,
            float[] out) {
        for (int k = 0; k < out.length; k++) {
            out[k] = a * r[k] + b * s[k] + c * t[k] + d * u[k];
        }
        return out;
    }
}
