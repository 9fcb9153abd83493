package ivrik.core.colour;

import java.util.Arrays;

/**
 * A lookup table: either one curve per channel (1D) or a lattice of colours with red changing fastest (3D).
 * Curves are interpolated linearly, lattices tetrahedrally. Input outside the domain is clamped to it.
 */
public final class ColourTable {
    /** Maximum number of grid points per axis of a lattice. */
    public static final int MAX_POINTS = 129;

    /** Maximum number of points of a curve. */
    public static final int MAX_ON_A_CURVE = 65536;

    private final String name;
    private final boolean lattice;
    private final int points;
    private final float[] low;
    private final float[] high;
    private final float[] values;
    private final int hash;

    private ColourTable(
            String name, boolean lattice, int points, float[] low, float[] high, float[] values) {
        this.name = name;
        this.lattice = lattice;
        this.points = points;
        this.low = low.clone();
        this.high = high.clone();
        this.values = values;
        this.hash = Arrays.hashCode(values) + 31 * name.hashCode();
    }

    /**
     * A lattice.
     *
     * @param points grid points per axis, 2 to {@link #MAX_POINTS}
     * @param low lower bound of the domain of each channel
     * @param high upper bound of the domain of each channel
     * @param values red, green and blue of each grid point; the array is not copied
     */
    public static ColourTable lattice(
            String name, int points, float[] low, float[] high, float[] values) {
        return new ColourTable(name, true, points, low, high, values);
    }

    /**
     * Three curves.
     *
     * @param points points per curve, 2 to {@link #MAX_ON_A_CURVE}
     * @param low lower bound of the domain of each channel
     * @param high upper bound of the domain of each channel
     * @param values red, green and blue of each point; the array is not copied
     */
    public static ColourTable curves(
            String name, int points, float[] low, float[] high, float[] values) {
        return new ColourTable(name, false, points, low, high, values);
    }

    /** A function from colour to colour. */
    @FunctionalInterface
    public interface Rule {
        /**
         * Changes a colour in place.
         *
         * @param rgb red, green and blue, 0 to 1
         */
        void apply(double[] rgb);
    }

    /** Samples a function on a lattice over 0 to 1. */
    public static ColourTable of(String name, int points, Rule rule) {
        float[] values = new float[3 * points * points * points];
        double[] rgb = new double[3];
        for (int i = 0; i < values.length / 3; i++) {
            rgb[0] = i % points / (points - 1.0);
            rgb[1] = i / points % points / (points - 1.0);
            rgb[2] = i / (points * points) / (points - 1.0);
            rule.apply(rgb);
            for (int c = 0; c < 3; c++) {
                values[3 * i + c] = (float) rgb[c];
            }
        }
        return lattice(name, points, new float[3], new float[] {1, 1, 1}, values);
    }

    public String name() {
        return name;
    }

    public boolean isLattice() {
        return lattice;
    }

    public int points() {
        return points;
    }

    /** Lower bound of the domain of a channel. */
    public float low(int channel) {
        return low[channel];
    }

    /** Upper bound of the domain of a channel. */
    public float high(int channel) {
        return high[channel];
    }

    /** Number of colours in the table. */
    public int size() {
        return values.length / 3;
    }

    /** One channel of one colour. */
    public float value(int colour, int channel) {
        return values[3 * colour + channel];
    }

    /** Replaces the first {@code n} pixels of three rows. */
    public void apply(float[][] rgb, int n) {
        if (lattice) {
            for (int i = 0; i < n; i++) {
                look(rgb, i);
            }
        } else {
            for (int c = 0; c < 3; c++) {
                curve(rgb[c], c, n);
            }
        }
    }

    private void curve(float[] row, int c, int n) {
        for (int i = 0; i < n; i++) {
            float at = place(row[i], c);
            int before = Math.min(points - 2, (int) at);
            float from = values[3 * before + c];
            row[i] = from + (at - before) * (values[3 * before + 3 + c] - from);
        }
    }

    /** Position of a value among the points, 0 to the last index; 0 for NaN. */
    private float place(float v, int c) {
        float at = (v - low[c]) / (high[c] - low[c]) * (points - 1);
        return at > 0 ? Math.min(at, points - 1) : 0;
    }

    private void look(float[][] rgb, int i) {
        float red = place(rgb[0][i], 0);
        float green = place(rgb[1][i], 1);
        float blue = place(rgb[2][i], 2);
        int r = Math.min(points - 2, (int) red);
        int g = Math.min(points - 2, (int) green);
        int b = Math.min(points - 2, (int) blue);
        float x = red - r;
        float y = green - g;
        float z = blue - b;
        int stepX = 3;
        int stepY = 3 * points;
        int stepZ = 3 * points * points;
        int corner = r * stepX + g * stepY + b * stepZ;
        boolean xy = x >= y;
        boolean yz = y >= z;
        boolean xz = x >= z;
        // the axes in descending order of the fractional position
        int first = xy && xz ? stepX : !xy && yz ? stepY : stepZ;
        int last = !xy && !xz ? stepX : xy && !yz ? stepY : stepZ;
        float most = Math.max(x, Math.max(y, z));
        float least = Math.min(x, Math.min(y, z));
        float middle = x + y + z - most - least;
        int second = corner + first;
        int third = corner + stepX + stepY + stepZ - last;
        int end = corner + stepX + stepY + stepZ;
        for (int c = 0; c < 3; c++) {
            float start = values[corner + c];
            rgb[c][i] =
                    start
                            + most * (values[second + c] - start)
                            + middle * (values[third + c] - values[second + c])
                            + least * (values[end + c] - values[third + c]);
        }
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof ColourTable t
                && (t == this
                        || hash == t.hash
                                && name.equals(t.name)
                                && lattice == t.lattice
                                && points == t.points
                                && Arrays.equals(low, t.low)
                                && Arrays.equals(high, t.high)
                                && Arrays.equals(values, t.values));
    }

    @Override
    public int hashCode() {
        return hash;
    }

    @Override
    public String toString() {
        return "table " + name;
    }
}
