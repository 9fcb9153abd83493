package ivrik.core.colour;

/**
 * Primaries and white point as CIE 1931 xy chromaticities, and the matrices derived from them (SMPTE RP 177).
 *
 * @param xy x and y of red, green, blue and white
 */
public record Primaries(double... xy) {
    /** sRGB and BT.709, white D65 (IEC 61966-2-1, ITU-R BT.709). */
    public static final Primaries SRGB =
            new Primaries(0.64, 0.33, 0.30, 0.60, 0.15, 0.06, 0.3127, 0.3290);

    /** Display P3: the primaries of digital cinema with white D65 (SMPTE EG 432-1). */
    public static final Primaries DISPLAY_P3 =
            new Primaries(0.680, 0.320, 0.265, 0.690, 0.150, 0.060, 0.3127, 0.3290);

    /** Digital cinema (SMPTE RP 431-2). */
    public static final Primaries DCI_P3 =
            new Primaries(0.680, 0.320, 0.265, 0.690, 0.150, 0.060, 0.314, 0.351);

    /** ITU-R BT.2020 and BT.2100. */
    public static final Primaries BT2020 =
            new Primaries(0.708, 0.292, 0.170, 0.797, 0.131, 0.046, 0.3127, 0.3290);

    /** Matrix to the cone responses in which white points are adapted (Bradford). */
    private static final Matrix3 BRADFORD =
            Matrix3.of(0.8951, 0.2664, -0.1614, -0.7502, 1.7135, 0.0367, 0.0389, -0.0685, 1.0296);

    public Primaries {
        xy = xy.clone();
        if (xy.length != 8) {
            throw new IllegalArgumentException("four colours of two numbers each");
        }
    }

    /** CIE XYZ of a chromaticity at luminance 1. */
    private static double[] xyz(double x, double y) {
        return new double[] {x / y, 1, (1 - x - y) / y};
    }

    /** White point in CIE XYZ, Y = 1. */
    public double[] white() {
        return xyz(xy[6], xy[7]);
    }

    /** Matrix from linear light to CIE XYZ; white has Y = 1. */
    public Matrix3 toXyz() {
        Matrix3 unscaled =
                Matrix3.ofColumns(xyz(xy[0], xy[1]), xyz(xy[2], xy[3]), xyz(xy[4], xy[5]));
        double[] s = unscaled.inverse().times(white());
        return unscaled.times(Matrix3.of(s[0], 0, 0, 0, s[1], 0, 0, 0, s[2]));
    }

    /**
     * Matrix from linear light of these primaries to linear light of others; white maps to white (Bradford).
     */
    public Matrix3 to(Primaries other) {
        return other.toXyz().inverse().times(adaptation(white(), other.white())).times(toXyz());
    }

    /**
     * Matrix that adapts one white point to another in CIE XYZ by scaling cone responses (Bradford).
     */
    public static Matrix3 adaptation(double[] from, double[] to) {
        double[] a = BRADFORD.times(from);
        double[] b = BRADFORD.times(to);
        return BRADFORD.inverse().times(BRADFORD.scaledRows(b[0] / a[0], b[1] / a[1], b[2] / a[2]));
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Primaries p && java.util.Arrays.equals(xy, p.xy);
    }

    @Override
    public int hashCode() {
        return java.util.Arrays.hashCode(xy);
    }
}
