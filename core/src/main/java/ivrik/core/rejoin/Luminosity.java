package ivrik.core.rejoin;

/**
 * Lum, Sat, ClipColor, SetLum and SetSat of W3C Compositing and Blending Level 1, section 10.2. As there,
 * ClipColor applies to results of SetLum outside 0..1.
 */
final class Luminosity {
    private Luminosity() {}

    static float of(float[] c) {
        return 0.3f * c[0] + 0.59f * c[1] + 0.11f * c[2];
    }

    static float saturation(float[] c) {
        return Math.max(c[0], Math.max(c[1], c[2])) - Math.min(c[0], Math.min(c[1], c[2]));
    }

    /** {@code c} with luminosity {@code to}; {@code out} may be {@code c}. */
    static void set(float[] c, float to, float[] out) {
        float d = to - of(c);
        for (int i = 0; i < 3; i++) {
            out[i] = c[i] + d;
        }
        clip(out);
    }

    private static void clip(float[] c) {
        float l = of(c);
        float n = Math.min(c[0], Math.min(c[1], c[2]));
        float x = Math.max(c[0], Math.max(c[1], c[2]));
        if (n < 0 && l != n) {
            for (int i = 0; i < 3; i++) {
                c[i] = l + (c[i] - l) * l / (l - n);
            }
        }
        if (x > 1 && x != l) {
            for (int i = 0; i < 3; i++) {
                c[i] = l + (c[i] - l) * (1 - l) / (x - l);
            }
        }
    }

    /** {@code c} with saturation {@code to}: the minimum becomes 0, the maximum {@code to}. */
    static void setSaturation(float[] c, float to, float[] out) {
        float least = Math.min(c[0], Math.min(c[1], c[2]));
        float range = saturation(c);
        for (int i = 0; i < 3; i++) {
            out[i] = range == 0 ? 0 : (c[i] - least) * to / range;
        }
    }
}
