package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.picture.RowArithmetic;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;

import jdk.incubator.vector.FloatVector;
import jdk.incubator.vector.IntVector;
import jdk.incubator.vector.VectorMask;
import jdk.incubator.vector.VectorOperators;
import jdk.incubator.vector.VectorSpecies;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;

/**
 * Samples a plane at arbitrary positions. If the positions of one vector lie along one row of the plane, as
 * almost all do in a slightly warped picture, their samples are read contiguously and permuted, which is many
 * times faster than reading each alone. For one thread.
 */
final class ScatteredSamples {
    private static final VectorSpecies<Float> FLOATS = FloatVector.SPECIES_PREFERRED;
    private static final VectorSpecies<Integer> INTS = IntVector.SPECIES_PREFERRED;
    private static final int CHANNELS = FLOATS.length();
    private static final int NONE = -1;

    /** Number of samples before the vector code is tried: a few pictures. */
    private static final long WORTH_A_RACE = 20_000_000;

    private static final ScalarOrVector QUICKER = race();

    private final float[] data;
    private final int width;
    private final int height;
    private final int stride;
    private final int offset;
    private final EdgeFill fill;
    private final Sampler sampler;
    private final int taps;
    private final float[] across;
    private final float[] down;

    private final float[][] weightsX;
    private final float[][] weightsY;
    private final SplitPositions places;
    private final int[] ix;
    private final int[] iy;
    private final float[] fx;
    private final float[] fy;

    /**
     * For each vector of positions: index from which to read; {@link #NONE} to sample one by one.
     */
    private final int[] firsts;

    /** For each vector of positions: whether some lie one row below the uppermost. */
    private final boolean[] isStepped;

    private final ScalarOrVector quicker;

    /**
     * @param most maximum number of positions per call
     */
    ScatteredSamples(Plane in, int most, EdgeFill fill, Sampler sampler) {
        this(in, most, fill, sampler, QUICKER);
    }

    /**
     * @param most maximum number of positions per call
     * @param quicker decides between scalar and vector code
     */
    ScatteredSamples(Plane in, int most, EdgeFill fill, Sampler sampler, ScalarOrVector quicker) {
        this.quicker = quicker;
        this.data = in.data();
        this.width = in.width();
        this.height = in.height();
        this.stride = in.stride();
        this.offset = in.offset();
        this.fill = fill;
        this.sampler = sampler;
        this.taps = sampler.taps();
        this.across = new float[taps];
        this.down = new float[taps];
        int room = RowArithmetic.room(most);
        this.places = new SplitPositions(most);
        this.ix = places.x;
        this.iy = places.y;
        this.fx = places.restX;
        this.fy = places.restY;
        this.firsts = new int[room / CHANNELS];
        this.isStepped = new boolean[room / CHANNELS];
        this.weightsX = new float[sampler == Sampler.CUBIC ? taps : 0][room];
        this.weightsY = new float[sampler == Sampler.CUBIC ? taps : 0][room];
    }

    /** Samples {@code n} positions, in px from the outer edge. */
    void at(double[] x, double[] y, int n, float[] out, int o) {
        places.set(x, y, n);
        at(n, out, o);
    }

    /** The positions to fill before {@link #at(int, float[], int)} is called. */
    SplitPositions places() {
        return places;
    }

    /** Samples the first {@code n} of {@link #places}. */
    void at(int n, float[] out, int o) {
        int whole = n / CHANNELS * CHANNELS;
        if (sampler == Sampler.LANCZOS || !quicker.takesVectors(n)) {
            oneByOne(0, n, out, o);
            return;
        }
        findFirsts(whole);
        if (sampler == Sampler.LINEAR) {
            linear(whole, 0, out, o);
            linear(whole, 1, out, o);
        } else {
            weights(fx, weightsX[0], weightsX[1], weightsX[2], weightsX[3]);
            weights(fy, weightsY[0], weightsY[1], weightsY[2], weightsY[3]);
            cubic(whole, 0, out, o);
            cubic(whole, 1, out, o);
        }
        alone(whole, out, o);
        oneByOne(whole, n, out, o);
    }

    /**
     * A benchmark of both code paths and both samplers, on a row of positions slightly closer than pixels.
     */
    private static ScalarOrVector race() {
        int width = 512;
        Plane plane = Plane.of(width, 8);
        double[] x = new double[width];
        double[] y = new double[width];
        for (int i = 0; i < width; i++) {
            x[i] = 5 + 0.97 * i;
            y[i] = 4 + 0.3 * i / width;
        }
        float[] out = new float[width];
        return new ScalarOrVector(
                "samples",
                WORTH_A_RACE,
                reading(plane, x, y, out, ScalarOrVector.PLAIN),
                reading(plane, x, y, out, ScalarOrVector.VECTORS));
    }

    private static Runnable reading(
            Plane plane, double[] x, double[] y, float[] out, ScalarOrVector quicker) {
        List<ScatteredSamples> both =
                Stream.of(Sampler.LINEAR, Sampler.CUBIC)
                        .map(
                                s ->
                                        new ScatteredSamples(
                                                plane, x.length, EdgeFill.REPEAT, s, quicker))
                        .toList();
        return () -> {
            for (ScatteredSamples samples : both) {
                for (int i = 0; i < 20; i++) {
                    samples.at(x, y, x.length, out, 0);
                }
            }
        };
    }

    /**
     * The smallest of a vector of monotonic positions; for others one of the two ends, which is far from the
     * rest.
     */
    private static int least(int[] places, int i) {
        return Math.min(places[i], places[i + CHANNELS - 1]);
    }

    /**
     * Finds the index from which to read for each vector of positions that needs no sample outside the plane
     * and whose samples, in at most two rows, lie within two vectors.
     * <p>Java compiles vectors efficiently only within a method: a vector that is passed to or returned from
     * a method becomes an object unless the method is inlined, which does not happen in long methods. The
     * vector methods here are therefore short and call no methods of their own with vectors.
     */
    private void findFirsts(int whole) {
        for (int i = 0; i < whole; i += CHANNELS) {
            int p = first(i);
            boolean stepped = false;
            if (p != NONE) {
                int right =
                        Math.min(2 * CHANNELS, width - least(ix, i) - sampler.firstTap()) - taps;
                IntVector across = IntVector.fromArray(INTS, ix, i).sub(least(ix, i));
                IntVector down = IntVector.fromArray(INTS, iy, i).sub(least(iy, i));
                VectorMask<Integer> far = across.compare(VectorOperators.UGT, right);
                p = far.or(down.compare(VectorOperators.UGT, 1)).anyTrue() ? NONE : p;
                stepped = down.compare(VectorOperators.NE, 0).anyTrue();
            }
            firsts[i / CHANNELS] = p;
            isStepped[i / CHANNELS] = stepped;
        }
    }

    /**
     * Index from which to read for one vector of positions; {@link #NONE} if they are too far apart or too
     * close to the end.
     */
    private int first(int i) {
        int x = least(ix, i) + sampler.firstTap();
        int y = least(iy, i) + sampler.firstTap();
        int p = offset + y * stride + x;
        boolean in = x >= 0 && y >= 0 && x <= width - taps && y < height - taps;
        return in && p + taps * stride <= data.length - 2 * CHANNELS ? p : NONE;
    }

    /** Whether a vector of positions has any in the row {@code down} rows below its uppermost. */
    private boolean isRead(int i, int down) {
        return firsts[i / CHANNELS] != NONE && (down == 0 || isStepped[i / CHANNELS]);
    }

    /**
     * Linear samples of the positions that lie {@code down} rows, 0 or 1, below the uppermost of their
     * vector.
     */
    private void linear(int whole, int down, float[] out, int o) {
        for (int i = 0; i < whole; i += CHANNELS) {
            if (isRead(i, down)) {
                int p = firsts[i / CHANNELS] + down * stride;
                int q = p + stride;
                IntVector at = IntVector.fromArray(INTS, ix, i).sub(least(ix, i));
                IntVector next = at.add(1);
                FloatVector f = FloatVector.fromArray(FLOATS, fx, i);
                IntVector a = FloatVector.fromArray(FLOATS, data, p).reinterpretAsInts();
                IntVector b = FloatVector.fromArray(FLOATS, data, p + CHANNELS).reinterpretAsInts();
                FloatVector left = at.selectFrom(a, b).reinterpretAsFloats();
                FloatVector right = next.selectFrom(a, b).reinterpretAsFloats();
                FloatVector above = left.add(f.mul(right.sub(left)));
                a = FloatVector.fromArray(FLOATS, data, q).reinterpretAsInts();
                b = FloatVector.fromArray(FLOATS, data, q + CHANNELS).reinterpretAsInts();
                left = at.selectFrom(a, b).reinterpretAsFloats();
                right = next.selectFrom(a, b).reinterpretAsFloats();
                FloatVector below = left.add(f.mul(right.sub(left)));
                FloatVector g = FloatVector.fromArray(FLOATS, fy, i);
                VectorMask<Integer> here =
                        IntVector.fromArray(INTS, iy, i)
                                .compare(VectorOperators.EQ, least(iy, i) + down);
                above.add(g.mul(below.sub(above))).intoArray(out, o + i, here.cast(FLOATS));
            }
        }
    }

    /** Cubic samples, over four rows; otherwise as {@link #linear}. */
    private void cubic(int whole, int down, float[] out, int o) {
        for (int i = 0; i < whole; i += CHANNELS) {
            if (isRead(i, down)) {
                int p = firsts[i / CHANNELS] + down * stride;
                IntVector at = IntVector.fromArray(INTS, ix, i).sub(least(ix, i));
                FloatVector w0 = FloatVector.fromArray(FLOATS, weightsX[0], i);
                FloatVector w1 = FloatVector.fromArray(FLOATS, weightsX[1], i);
                FloatVector w2 = FloatVector.fromArray(FLOATS, weightsX[2], i);
                FloatVector w3 = FloatVector.fromArray(FLOATS, weightsX[3], i);
                FloatVector sum = FloatVector.zero(FLOATS);
                for (int j = 0; j < taps; j++) {
                    IntVector a = FloatVector.fromArray(FLOATS, data, p).reinterpretAsInts();
                    IntVector b =
                            FloatVector.fromArray(FLOATS, data, p + CHANNELS).reinterpretAsInts();
                    FloatVector row =
                            w0.mul(at.selectFrom(a, b).reinterpretAsFloats())
                                    .add(w1.mul(at.add(1).selectFrom(a, b).reinterpretAsFloats()))
                                    .add(w2.mul(at.add(2).selectFrom(a, b).reinterpretAsFloats()))
                                    .add(w3.mul(at.add(3).selectFrom(a, b).reinterpretAsFloats()));
                    sum = sum.add(row.mul(FloatVector.fromArray(FLOATS, weightsY[j], i)));
                    p += stride;
                }
                VectorMask<Integer> here =
                        IntVector.fromArray(INTS, iy, i)
                                .compare(VectorOperators.EQ, least(iy, i) + down);
                sum.intoArray(out, o + i, here.cast(FLOATS));
            }
        }
    }

    /** Weights of {@link Sampler#CUBIC} for a vector of fractions. */
    private static void weights(float[] f, float[] w0, float[] w1, float[] w2, float[] w3) {
        for (int i = 0; i < f.length; i++) {
            float t = f[i];
            w0[i] = ((t * -0.5f + 1) * t - 0.5f) * t;
            w1[i] = (t * 1.5f - 2.5f) * t * t + 1;
            w2[i] = ((t * -1.5f + 2) * t + 0.5f) * t;
            w3[i] = (t * 0.5f - 0.5f) * t * t;
        }
    }

    /** Samples vectors of positions that need samples outside the plane or lie too far apart. */
    private void alone(int whole, float[] out, int o) {
        for (int i = 0; i < whole; i += CHANNELS) {
            if (firsts[i / CHANNELS] == NONE && seeNothing(ix, i, width)) {
                Arrays.fill(out, o + i, o + i + CHANNELS, 0);
            } else if (firsts[i / CHANNELS] == NONE) {
                oneByOne(i, i + CHANNELS, out, o);
            }
        }
    }

    /** Whether all positions of a vector are so far outside on one side that the result is zero. */
    private boolean seeNothing(int[] places, int i, int count) {
        if (fill != EdgeFill.EMPTY) {
            return false;
        }
        IntVector first = IntVector.fromArray(INTS, places, i).add(sampler.firstTap());
        return first.compare(VectorOperators.LE, -taps).allTrue()
                || first.compare(VectorOperators.GE, count).allTrue();
    }

    /** Samples one by one, with any sampler and edge fill. The arithmetic is the same as above. */
    private void oneByOne(int from, int to, float[] out, int o) {
        for (int i = from; i < to; i++) {
            if (seesNothing(ix[i] + sampler.firstTap(), iy[i] + sampler.firstTap())) {
                out[o + i] = 0;
            } else if (sampler == Sampler.LINEAR) {
                out[o + i] = linearAt(i);
            } else {
                sampler.weights(fx[i], across);
                sampler.weights(fy[i], down);
                out[o + i] = sum(ix[i] + sampler.firstTap(), iy[i] + sampler.firstTap());
            }
        }
    }

    private float linearAt(int i) {
        if (ix[i] >= 0 && iy[i] >= 0 && ix[i] < width - 1 && iy[i] < height - 1) {
            int p = offset + iy[i] * stride + ix[i];
            float upper = data[p] + fx[i] * (data[p + 1] - data[p]);
            p += stride;
            float lower = data[p] + fx[i] * (data[p + 1] - data[p]);
            return upper + fy[i] * (lower - upper);
        }
        float a = outside(ix[i], iy[i]);
        float c = outside(ix[i], iy[i] + 1);
        float upper = a + fx[i] * (outside(ix[i] + 1, iy[i]) - a);
        float lower = c + fx[i] * (outside(ix[i] + 1, iy[i] + 1) - c);
        return upper + fy[i] * (lower - upper);
    }

    /** Whether all samples from the first one on are outside and empty. */
    private boolean seesNothing(int x, int y) {
        return fill == EdgeFill.EMPTY && (x <= -taps || y <= -taps || x >= width || y >= height);
    }

    /** Weighted sum over all taps from the first one on. */
    private float sum(int ix, int iy) {
        boolean in = ix >= 0 && iy >= 0 && ix + taps <= width && iy + taps <= height;
        float sum = 0;
        for (int j = 0; j < taps; j++) {
            float row = 0;
            int p = offset + (iy + j) * stride + ix;
            for (int i = 0; i < taps; i++) {
                row += across[i] * (in ? data[p + i] : outside(ix + i, iy + j));
            }
            sum += down[j] * row;
        }
        return sum;
    }

    private float outside(int ix, int iy) {
        int i = fill.inside(ix, width);
        int j = fill.inside(iy, height);
        return i < 0 || j < 0 ? 0 : data[offset + j * stride + i];
    }
}
