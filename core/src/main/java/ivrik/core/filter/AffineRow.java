package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;

import jdk.incubator.vector.FloatVector;
import jdk.incubator.vector.VectorSpecies;

/**
 * Samples rows of a plane under affine mappings with linear interpolation. Where a mapping is close to a
 * translation, long runs of target pixels have the same offset to their source pixels; each run is read
 * directly from the plane. For one thread.
 */
final class AffineRow {
    private static final VectorSpecies<Float> FLOATS = FloatVector.SPECIES_PREFERRED;
    private static final FloatVector COUNT = FloatVector.zero(FLOATS).addIndex(1);

    /** Mean run length, in px, from which reading by runs pays off. */
    private static final double MIN_RUN = 16;

    /** Positions further out than this are clamped: beyond any edge all samples are equal. */
    private static final int FARTHEST = 1 << 30;

    private final Plane in;
    private final EdgeFill fill;
    private final int width;
    private final int height;
    private final float[] upper;
    private final float[] lower;
    private final double[] x;
    private final double[] y;
    private final ScatteredSamples samples;
    private Affine at = Affine.NONE;
    private double middle;

    AffineRow(Plane in, EdgeFill fill) {
        this.in = in;
        this.fill = fill;
        this.width = in.width();
        this.height = in.height();
        this.upper = new float[width + 1];
        this.lower = new float[width + 1];
        this.x = new double[width];
        this.y = new double[width];
        this.samples = new ScatteredSamples(in, width, fill, Sampler.LINEAR);
    }

    /** Samples a whole row of the mapped plane. */
    void read(Affine mapping, int row, float[] out) {
        at = mapping;
        middle = row + 0.5;
        if (MIN_RUN * (Math.abs(at.xx() - 1) + Math.abs(at.yx())) > 1) {
            mapping.row(row, x, y, width);
            samples.at(x, y, width, out, 0);
            return;
        }
        int from = 0;
        while (from < width) {
            long shiftX = shiftX(from);
            long shiftY = shiftY(from);
            int to = end(from, shiftX, shiftY);
            run(from, to, shiftX, shiftY, out);
            from = to;
        }
    }

    private double placeX(int i) {
        return at.xx() * (i + 0.5) + at.xy() * middle + at.x0() - 0.5;
    }

    private double placeY(int i) {
        return at.yx() * (i + 0.5) + at.yy() * middle + at.y0() - 0.5;
    }

    /**
     * Horizontal offset from target pixel {@code i} to the sample at or before its source position.
     */
    private long shiftX(int i) {
        return (long) Math.floor(placeX(i)) - i;
    }

    /** Row of the sample at or above the source position of target pixel {@code i}. */
    private long shiftY(int i) {
        return (long) Math.floor(placeY(i));
    }

    /** End of the run that starts at a pixel. Offsets are monotonic along a row. */
    private int end(int from, long shiftX, long shiftY) {
        int same = from;
        int other = width;
        while (other - same > 1) {
            int i = (same + other) >>> 1;
            if (shiftX(i) == shiftX && shiftY(i) == shiftY) {
                same = i;
            } else {
                other = i;
            }
        }
        return other;
    }

    /** Samples one run, in which the interpolation weights change linearly. */
    private void run(int from, int to, long shiftX, long row, float[] out) {
        float right = (float) (placeX(from) - from - shiftX);
        float below = (float) (placeY(from) - row);
        long first = from + shiftX;
        int count = to - from;
        if (first >= 0 && first + count < width && row >= 0 && row + 1 < height) {
            int p = in.row((int) row) + (int) first;
            between(in.data(), p, in.data(), p + in.stride(), right, below, out, from, count);
        } else {
            int left = Math.clamp(first, -FARTHEST, FARTHEST);
            fill.read(in, row, left, upper, count + 1);
            fill.read(in, row + 1, left, lower, count + 1);
            between(upper, 0, lower, 0, right, below, out, from, count);
        }
    }

    private void between(
            float[] upper,
            int u,
            float[] lower,
            int l,
            float right,
            float below,
            float[] out,
            int o,
            int n) {
        float perRight = (float) (at.xx() - 1);
        float perBelow = (float) at.yx();
        int whole = FLOATS.loopBound(n);
        for (int i = 0; i < whole; i += FLOATS.length()) {
            FloatVector on = COUNT.add(i);
            FloatVector a = FloatVector.fromArray(FLOATS, upper, u + i);
            FloatVector b = FloatVector.fromArray(FLOATS, upper, u + i + 1);
            FloatVector c = FloatVector.fromArray(FLOATS, lower, l + i);
            FloatVector d = FloatVector.fromArray(FLOATS, lower, l + i + 1);
            FloatVector share = on.mul(perRight).add(right);
            a = a.add(share.mul(b.sub(a)));
            c = c.add(share.mul(d.sub(c)));
            share = on.mul(perBelow).add(below);
            a.add(share.mul(c.sub(a))).intoArray(out, o + i);
        }
        for (int i = whole; i < n; i++) {
            float share = i * perRight + right;
            float a = upper[u + i] + share * (upper[u + i + 1] - upper[u + i]);
            float c = lower[l + i] + share * (lower[l + i + 1] - lower[l + i]);
            out[o + i] = a + (i * perBelow + below) * (c - a);
        }
    }
}
