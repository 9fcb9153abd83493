package ivrik.core.colour;

import java.util.Arrays;

/**
 * A lookup table of colours: one curve for each channel, or a lattice of colours, red changing fastest. Between
 * its points a curve goes in straight lines, and a lattice by tetrahedra: from the corner below, along the axes
 * by how far on the colour is on each. What lies outside its domain is looked up at the domain's border.
 */
public final class ColourTable {
    /** The most points along a side of a lattice. */
    public static final int MOST_POINTS = 129;

    /** The most points of a curve. */
    public static final int MOST_ON_A_CURVE = 65536;

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
     * @param points along each side, from 2 to {@link #MOST_POINTS}
     * @param low where the domain of each channel begins
     * @param high where it ends, over {@code low}
     * @param values red, green and blue of each point; this one's from now on
     */
    public static ColourTable lattice(
            String name, int points, float[] low, float[] high, float[] values) {
        return new ColourTable(name, true, points, low, high, values);
    }

    /**
     * Three curves.
     *
     * @param points of each, from 2 to {@link #MOST_ON_A_CURVE}
     */
    public static ColourTable curves(
            String name, int points, float[] low, float[] high, float[] values) {
        return new ColourTable(name, false, points, low, high, values);
    }

    /** What a colour becomes. */
    @FunctionalInterface
    public interface Rule {
        /** Changes red, green and blue, each from 0 to 1. */
        void apply(double[] rgb);
    }

    /** The lattice of a rule from 0 to 1. */
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

    /** Where the domain of a channel begins. */
    public float low(int channel) {
        return low[channel];
    }

    /** Where it ends. */
    public float high(int channel) {
        return high[channel];
    }

    /** How many colours there are. */
    public int size() {
        return values.length / 3;
    }

    /** A channel of a colour. */
    public float value(int colour, int channel) {
        return values[3 * colour + channel];
    }

    /** Replaces the first {@code n} colours of three rows. */
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

    /** Where among the points a value lies, from 0 to the last; what is not a number at the first. */
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
        // the axes from that on which the colour is furthest on to that on which it is least
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
