package ivrik.core.colour;

/**
 * What red, green, blue and white of a picture are, as CIE 1931 xy chromaticities, and the matrices
 * that follow from them (SMPTE RP 177).
 */
public enum Primaries {
    /** sRGB and BT.709, white D65 (IEC 61966-2-1, ITU-R BT.709). */
    SRGB(0.64, 0.33, 0.30, 0.60, 0.15, 0.06, 0.3127, 0.3290);

    private final Matrix3 toXyz;

    Primaries(
            double rx,
            double ry,
            double gx,
            double gy,
            double bx,
            double by,
            double wx,
            double wy) {
        Matrix3 unscaled = Matrix3.ofColumns(xyz(rx, ry), xyz(gx, gy), xyz(bx, by));
        double[] s = unscaled.inverse().times(xyz(wx, wy));
        toXyz = unscaled.times(Matrix3.of(s[0], 0, 0, 0, s[1], 0, 0, 0, s[2]));
    }

    /** Of luminance 1. */
    private static double[] xyz(double x, double y) {
        return new double[] {x / y, 1, (1 - x - y) / y};
    }

    /** From linear light to CIE XYZ, white at Y = 1. */
    public Matrix3 toXyz() {
        return toXyz;
    }
}
