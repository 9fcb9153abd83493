package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.picture.RowArithmetic;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;

import jdk.incubator.vector.FloatVector;
import jdk.incubator.vector.IntVector;
import jdk.incubator.vector.VectorSpecies;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A plane that is scaled, flipped or moved, but not rotated: source rows stay rows. Each source row is
 * resampled horizontally once, and the results vertically. The values equal those of per-pixel sampling bit
 * for bit.
 */
final class AxisAlignedResample implements Rows {
    private static final VectorSpecies<Float> FLOATS = FloatVector.SPECIES_PREFERRED;
    private static final VectorSpecies<Integer> INTS = IntVector.SPECIES_PREFERRED;
    private static final int CHANNELS = FLOATS.length();

    /** Marks a missing sample. */
    private static final int NONE = Integer.MIN_VALUE;

    /** Number of samples before the vector code is tried: some pictures with a few layers. */
    private static final long WORTH_A_RACE = 60_000_000;

    private static final ScalarOrVector QUICKER = race();

    private final Plane in;
    private final Size size;
    private final Affine affine;
    private final EdgeFill fill;
    private final Sampler sampler;

    /** For each tap and column: index of the sample in a row; one past the row for none. */
    private final int[][] index;

    /**
     * For each vector: index of its first sample if all samples lie within two vectors; else {@link #NONE}.
     */
    private final int[] begins;

    /** For each column: offset of its first sample from that index. */
    private final int[] behind;

    /**
     * For each tap: weights per column; for the linear sampler, the weight of the second sample.
     */
    private final float[][] weights;

    private final ScalarOrVector quicker;

    AxisAlignedResample(Plane in, Size size, Affine affine, EdgeFill fill, Sampler sampler) {
        this(in, size, affine, fill, sampler, QUICKER);
    }

    /**
     * @param quicker decides between scalar and vector code
     */
    AxisAlignedResample(
            Plane in,
            Size size,
            Affine affine,
            EdgeFill fill,
            Sampler sampler,
            ScalarOrVector quicker) {
        this.quicker = quicker;
        this.in = in;
        this.size = size;
        this.affine = affine;
        this.fill = fill;
        this.sampler = sampler;
        int room = RowArithmetic.room(size.width());
        index = new int[sampler.taps()][room];
        weights = new float[sampler.taps()][room];
        float[] each = new float[sampler.taps()];
        for (int x = 0; x < size.width(); x++) {
            double place = affine.xx() * (x + 0.5) + affine.x0() - 0.5;
            int whole = (int) Math.floor(place);
            sampler.weights((float) (place - Math.floor(place)), each);
            for (int k = 0; k < each.length; k++) {
                int inside = fill.inside(whole + sampler.firstTap() + k, in.width());
                index[k][x] = inside < 0 ? in.width() : inside;
                weights[k][x] = each[k];
            }
        }
        begins = new int[room / CHANNELS];
        behind = new int[room];
        for (int v = 0; v < begins.length; v++) {
            begins[v] = (v + 1) * CHANNELS <= size.width() ? begin(v * CHANNELS) : NONE;
        }
    }

    /** Index of the first sample of a vector; fills in the offsets of its columns. */
    private int begin(int from) {
        int last = sampler.taps() - 1;
        int left = Math.min(index[0][from], index[0][from + CHANNELS - 1]);
        for (int i = from; i < from + CHANNELS; i++) {
            behind[i] = index[0][i] - left;
            boolean inRow = true;
            for (int k = 1; k <= last; k++) {
                inRow &= index[k][i] == index[0][i] + k;
            }
            boolean near = behind[i] >= 0 && behind[i] + last < 2 * CHANNELS;
            if (!inRow || !near || index[last][i] >= in.width()) {
                return NONE;
            }
        }
        return left;
    }

    /** Whether a mapping and a sampler can be resampled this way. */
    static boolean fits(Warp warp, Sampler sampler) {
        return warp instanceof Affine a && a.isUpright() && sampler != Sampler.LANCZOS;
    }

    @Override
    public Size size() {
        return size;
    }

    @Override
    public Reader reader() {
        Made made = new Made();
        return made::row;
    }

    /** A benchmark of both code paths and both samplers on a small, slightly enlarged row. */
    private static ScalarOrVector race() {
        int width = 512;
        List<Made> some =
                Stream.of(Sampler.LINEAR, Sampler.CUBIC)
                        .map(
                                sampler ->
                                        new AxisAlignedResample(
                                                Plane.of(width, 1),
                                                new Size(width, 1),
                                                Affine.scaled(1.1, 1, 0, 0),
                                                EdgeFill.REPEAT,
                                                sampler)
                                        .new Made())
                        .toList();
        float[] row = new float[RowArithmetic.room(width)];
        return new ScalarOrVector(
                "upright",
                WORTH_A_RACE,
                () -> some.forEach(made -> IntStream.range(0, 50).forEach(i -> made.plainly(row))),
                () ->
                        some.forEach(
                                made -> IntStream.range(0, 50).forEach(i -> made.byVectors(row))));
    }

    /** Rows after horizontal resampling, of which the last few are cached; for one thread. */
    private final class Made {
        private final int taps = sampler.taps();
        private final float[][] rows = new float[taps][RowArithmetic.room(size.width())];
        private final int[] held = new int[taps];
        private final float[] source = new float[in.width() + 1 + 2 * CHANNELS];
        private final float[] down = new float[taps];
        private final float[] line = new float[RowArithmetic.room(size.width())];

        Made() {
            Arrays.fill(held, NONE);
        }

        void row(int y, float[] out, int o) {
            double place = affine.yy() * (y + 0.5) + affine.y0() - 0.5;
            double whole = Math.floor(place);
            sampler.weights((float) (place - whole), down);
            int first = (int) whole + sampler.firstTap();
            if (sampler == Sampler.LINEAR) {
                between(at(first), at(first + 1), down[1], line);
            } else {
                sum(at(first), at(first + 1), at(first + 2), at(first + 3), down, line);
            }
            System.arraycopy(line, 0, out, o, size.width());
        }

        /** Resamples a row of the plane horizontally. */
        private float[] at(int row) {
            int slot = Math.floorMod(row, taps);
            if (held[slot] != row) {
                held[slot] = row;
                int inside = fill.inside(row, in.height());
                if (inside < 0) {
                    Arrays.fill(rows[slot], 0);
                } else {
                    System.arraycopy(in.data(), in.row(inside), source, 0, in.width());
                    across(rows[slot]);
                }
            }
            return rows[slot];
        }

        private void across(float[] to) {
            if (quicker.takesVectors(to.length)) {
                byVectors(to);
            } else {
                plainly(to);
            }
        }

        private void plainly(float[] to) {
            if (sampler == Sampler.LINEAR) {
                between(index[0], index[1], weights[1], source, to);
            } else {
                sum(index, weights, source, to);
            }
        }

        private static void between(int[] left, int[] right, float[] g, float[] from, float[] to) {
            for (int i = 0; i < to.length; i++) {
                float a = from[left[i]];
                to[i] = a + g[i] * (from[right[i]] - a);
            }
        }

        private static void sum(int[][] index, float[][] weights, float[] from, float[] to) {
            for (int i = 0; i < to.length; i++) {
                float sum = weights[0][i] * from[index[0][i]];
                for (int k = 1; k < 4; k++) {
                    sum += weights[k][i] * from[index[k][i]];
                }
                to[i] = sum;
            }
        }

        private void byVectors(float[] to) {
            for (int v = 0; v < begins.length; v++) {
                int i = v * CHANNELS;
                FloatVector made = begins[v] == NONE ? scattered(i) : together(begins[v], i);
                made.intoArray(to, i);
            }
        }

        /** Gathers samples from two consecutive vectors. */
        private FloatVector together(int begin, int i) {
            IntVector first = FloatVector.fromArray(FLOATS, source, begin).reinterpretAsInts();
            IntVector second =
                    FloatVector.fromArray(FLOATS, source, begin + CHANNELS).reinterpretAsInts();
            IntVector at = IntVector.fromArray(INTS, behind, i);
            FloatVector left = at.selectFrom(first, second).reinterpretAsFloats();
            if (sampler == Sampler.LINEAR) {
                FloatVector right = at.add(1).selectFrom(first, second).reinterpretAsFloats();
                return left.add(weight(1, i).mul(right.sub(left)));
            }
            FloatVector sum = weight(0, i).mul(left);
            for (int k = 1; k < 4; k++) {
                FloatVector tap = at.add(k).selectFrom(first, second).reinterpretAsFloats();
                sum = sum.add(weight(k, i).mul(tap));
            }
            return sum;
        }

        private FloatVector weight(int k, int i) {
            return FloatVector.fromArray(FLOATS, weights[k], i);
        }

        private FloatVector scattered(int i) {
            FloatVector left = tap(0, i);
            if (sampler == Sampler.LINEAR) {
                return left.add(weight(1, i).mul(tap(1, i).sub(left)));
            }
            FloatVector sum = weight(0, i).mul(left);
            for (int k = 1; k < 4; k++) {
                sum = sum.add(weight(k, i).mul(tap(k, i)));
            }
            return sum;
        }

        private FloatVector tap(int k, int i) {
            return FloatVector.fromArray(FLOATS, source, 0, index[k], i);
        }

        private static void between(float[] upper, float[] lower, float g, float[] out) {
            for (int i = 0; i < out.length; i++) {
                out[i] = upper[i] + g * (lower[i] - upper[i]);
            }
        }

        private static void sum(
                float[] a, float[] b, float[] c, float[] d, float[] w, float[] out) {
            float w0 = w[0];
            float w1 = w[1];
            float w2 = w[2];
            float w3 = w[3];
            for (int i = 0; i < out.length; i++) {
                out[i] = a[i] * w0 + b[i] * w1 + c[i] * w2 + d[i] * w3;
            }
        }
    }
}
