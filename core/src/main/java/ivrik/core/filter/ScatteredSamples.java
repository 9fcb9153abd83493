package ivrik.core.filter;

import ivrik.core.picture.Lines;
import ivrik.core.picture.Plane;
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
 * Values of a plane at any places. Where a vector of places lies along one row of the plane, as almost
 * all do when a picture is bent a little, the samples about them are read in a row and put in order,
 * which is many times quicker than reading each by itself. For one thread.
 */
final class ScatteredSamples {
    private static final VectorSpecies<Float> FLOATS = FloatVector.SPECIES_PREFERRED;
    private static final VectorSpecies<Integer> INTS = IntVector.SPECIES_PREFERRED;
    private static final int LANES = FLOATS.length();
    private static final int NONE = -1;

    /** Samples taken one by one before vectors are tried: of a few pictures. */
    private static final long WORTH_A_RACE = 20_000_000;

    private static final Quicker QUICKER = race();

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
    private final SplitPlaces places;
    private final int[] ix;
    private final int[] iy;
    private final float[] fx;
    private final float[] fy;

    /** Where to begin to read for each vector of places; {@link #NONE} where they are read one by one. */
    private final int[] firsts;

    /** Of each vector, whether some places lie one row further down than the uppermost. */
    private final boolean[] isStepped;

    private final Quicker quicker;

    /** For up to {@code most} places at once. */
    ScatteredSamples(Plane in, int most, EdgeFill fill, Sampler sampler) {
        this(in, most, fill, sampler, QUICKER);
    }

    /**
     * @param quicker whether samples are read by vectors
     */
    ScatteredSamples(Plane in, int most, EdgeFill fill, Sampler sampler, Quicker quicker) {
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
        int room = Lines.room(most);
        this.places = new SplitPlaces(most);
        this.ix = places.x;
        this.iy = places.y;
        this.fx = places.restX;
        this.fy = places.restY;
        this.firsts = new int[room / LANES];
        this.isStepped = new boolean[room / LANES];
        this.weightsX = new float[sampler == Sampler.CUBIC ? taps : 0][room];
        this.weightsY = new float[sampler == Sampler.CUBIC ? taps : 0][room];
    }

    /** The values at {@code n} places, in pixels from the outer edge. */
    void at(double[] x, double[] y, int n, float[] out, int o) {
        places.set(x, y, n);
        at(n, out, o);
    }

    /** What is filled before {@link #at(int, float[], int)} is asked for. */
    SplitPlaces places() {
        return places;
    }

    /** The values at the first {@code n} of {@link #places}. */
    void at(int n, float[] out, int o) {
        int whole = n / LANES * LANES;
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

    /** A row of places a little closer than pixels, by either way and with both samplers. */
    private static Quicker race() {
        int width = 512;
        Plane plane = Plane.of(width, 8);
        double[] x = new double[width];
        double[] y = new double[width];
        for (int i = 0; i < width; i++) {
            x[i] = 5 + 0.97 * i;
            y[i] = 4 + 0.3 * i / width;
        }
        float[] out = new float[width];
        return new Quicker(
                "samples",
                WORTH_A_RACE,
                reading(plane, x, y, out, Quicker.PLAIN),
                reading(plane, x, y, out, Quicker.VECTORS));
    }

    private static Runnable reading(
            Plane plane, double[] x, double[] y, float[] out, Quicker quicker) {
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

    /** The least of a vector of places that rise or fall all along; of others an end, and what lies before it is far. */
    private static int least(int[] places, int i) {
        return Math.min(places[i], places[i + LANES - 1]);
    }

    /**
     * Looks for where in the plane to begin to read for each vector of places, where they need nothing from outside,
     * and only samples of one row more than each of them sees, that lie within two vectors.
     *
     * <p>Java makes machine code of vectors that stay within a method. One that goes into or comes out of another
     * becomes an object wherever the two are not put together, as in long methods, and that takes many times as long.
     * So the methods of vectors here are short and call none of our own with them.
     */
    private void findFirsts(int whole) {
        for (int i = 0; i < whole; i += LANES) {
            int p = first(i);
            boolean stepped = false;
            if (p != NONE) {
                int right = Math.min(2 * LANES, width - least(ix, i) - sampler.firstTap()) - taps;
                IntVector across = IntVector.fromArray(INTS, ix, i).sub(least(ix, i));
                IntVector down = IntVector.fromArray(INTS, iy, i).sub(least(iy, i));
                VectorMask<Integer> far = across.compare(VectorOperators.UGT, right);
                p = far.or(down.compare(VectorOperators.UGT, 1)).anyTrue() ? NONE : p;
                stepped = down.compare(VectorOperators.NE, 0).anyTrue();
            }
            firsts[i / LANES] = p;
            isStepped[i / LANES] = stepped;
        }
    }

    /** Where that is for a vector of places, if they lie close enough; {@link #NONE} where there is not enough beyond. */
    private int first(int i) {
        int x = least(ix, i) + sampler.firstTap();
        int y = least(iy, i) + sampler.firstTap();
        int p = offset + y * stride + x;
        boolean in = x >= 0 && y >= 0 && x <= width - taps && y < height - taps;
        return in && p + taps * stride <= data.length - 2 * LANES ? p : NONE;
    }

    /** Whether a vector of places is read for those that lie so many rows below its uppermost. */
    private boolean isRead(int i, int down) {
        return firsts[i / LANES] != NONE && (down == 0 || isStepped[i / LANES]);
    }

    /** Linear samples of the places that lie so many rows, 0 or 1, below the uppermost of their vector. */
    private void linear(int whole, int down, float[] out, int o) {
        for (int i = 0; i < whole; i += LANES) {
            if (isRead(i, down)) {
                int p = firsts[i / LANES] + down * stride;
                int q = p + stride;
                IntVector at = IntVector.fromArray(INTS, ix, i).sub(least(ix, i));
                IntVector next = at.add(1);
                FloatVector f = FloatVector.fromArray(FLOATS, fx, i);
                IntVector a = FloatVector.fromArray(FLOATS, data, p).reinterpretAsInts();
                IntVector b = FloatVector.fromArray(FLOATS, data, p + LANES).reinterpretAsInts();
                FloatVector left = at.selectFrom(a, b).reinterpretAsFloats();
                FloatVector right = next.selectFrom(a, b).reinterpretAsFloats();
                FloatVector above = left.add(f.mul(right.sub(left)));
                a = FloatVector.fromArray(FLOATS, data, q).reinterpretAsInts();
                b = FloatVector.fromArray(FLOATS, data, q + LANES).reinterpretAsInts();
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

    /** As {@link #linear}, of four rows. */
    private void cubic(int whole, int down, float[] out, int o) {
        for (int i = 0; i < whole; i += LANES) {
            if (isRead(i, down)) {
                int p = firsts[i / LANES] + down * stride;
                IntVector at = IntVector.fromArray(INTS, ix, i).sub(least(ix, i));
                FloatVector w0 = FloatVector.fromArray(FLOATS, weightsX[0], i);
                FloatVector w1 = FloatVector.fromArray(FLOATS, weightsX[1], i);
                FloatVector w2 = FloatVector.fromArray(FLOATS, weightsX[2], i);
                FloatVector w3 = FloatVector.fromArray(FLOATS, weightsX[3], i);
                FloatVector sum = FloatVector.zero(FLOATS);
                for (int j = 0; j < taps; j++) {
                    IntVector a = FloatVector.fromArray(FLOATS, data, p).reinterpretAsInts();
                    IntVector b =
                            FloatVector.fromArray(FLOATS, data, p + LANES).reinterpretAsInts();
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

    /** The weights of {@link Sampler#CUBIC} for many fractions. */
    private static void weights(float[] f, float[] w0, float[] w1, float[] w2, float[] w3) {
        for (int i = 0; i < f.length; i++) {
            float t = f[i];
            w0[i] = ((t * -0.5f + 1) * t - 0.5f) * t;
            w1[i] = (t * 1.5f - 2.5f) * t * t + 1;
            w2[i] = ((t * -1.5f + 2) * t + 0.5f) * t;
            w3[i] = (t * 0.5f - 0.5f) * t * t;
        }
    }

    /** Vectors of places some of which need what lies outside, or that lie too far apart. */
    private void alone(int whole, float[] out, int o) {
        for (int i = 0; i < whole; i += LANES) {
            if (firsts[i / LANES] == NONE && seeNothing(ix, i, width)) {
                Arrays.fill(out, o + i, o + i + LANES, 0);
            } else if (firsts[i / LANES] == NONE) {
                oneByOne(i, i + LANES, out, o);
            }
        }
    }

    /** Whether all of a vector of places lie so far on one side that there is nothing. */
    private boolean seeNothing(int[] places, int i, int count) {
        if (fill != EdgeFill.EMPTY) {
            return false;
        }
        IntVector first = IntVector.fromArray(INTS, places, i).add(sampler.firstTap());
        return first.compare(VectorOperators.LE, -taps).allTrue()
                || first.compare(VectorOperators.GE, count).allTrue();
    }

    /** Any sampler, with what lies outside; what is done to a value is the same as above. */
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

    /** Whether all samples from a first one on lie outside, where there is nothing. */
    private boolean seesNothing(int x, int y) {
        return fill == EdgeFill.EMPTY && (x <= -taps || y <= -taps || x >= width || y >= height);
    }

    /** The weighted sum over all taps from a first one on. */
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
