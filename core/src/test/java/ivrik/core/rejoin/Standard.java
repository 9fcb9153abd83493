package ivrik.core.rejoin;

/** The blend modes as the standard defines them, one colour at a time, in double precision. */
final class Standard {
    private Standard() {}

    static double[] blend(Blend mode, double[] cb, double[] cs) {
        return switch (mode) {
            case HUE -> setLum(setSat(cs, sat(cb)), lum(cb));
            case SATURATION -> setLum(setSat(cb, sat(cs)), lum(cb));
            case COLOR -> setLum(cs, lum(cb));
            case LUMINOSITY -> setLum(cb, lum(cs));
            case LIGHTER_COLOR -> lum(cs) > lum(cb) ? cs : cb;
            case DARKER_COLOR -> lum(cs) < lum(cb) ? cs : cb;
            default ->
                    new double[] {
                        channel(mode, cb[0], cs[0]),
                        channel(mode, cb[1], cs[1]),
                        channel(mode, cb[2], cs[2])
                    };
        };
    }

    private static double channel(Blend mode, double cb, double cs) {
        return switch (mode) {
            case NORMAL -> cs;
            case ADD -> cb + cs;
            case SCREEN -> 1 - (1 - cb) * (1 - cs);
            case LIGHTEN -> Math.max(cb, cs);
            case MULTIPLY -> cb * cs;
            case DARKEN -> Math.min(cb, cs);
            case COLOR_DODGE -> cb == 0 ? 0 : cs == 1 ? 1 : Math.min(1, cb / (1 - cs));
            case COLOR_BURN -> cb == 1 ? 1 : cs == 0 ? 0 : 1 - Math.min(1, (1 - cb) / cs);
            case LINEAR_BURN -> cb + cs - 1;
            case OVERLAY -> channel(Blend.HARD_LIGHT, cs, cb);
            case HARD_LIGHT -> cs <= 0.5 ? cb * (2 * cs) : channel(Blend.SCREEN, cb, 2 * cs - 1);
            case SOFT_LIGHT -> {
                double d = cb <= 0.25 ? ((16 * cb - 12) * cb + 4) * cb : Math.sqrt(cb);
                yield cs <= 0.5 ? cb - (1 - 2 * cs) * cb * (1 - cb) : cb + (2 * cs - 1) * (d - cb);
            }
            case LINEAR_LIGHT -> cb + 2 * cs - 1;
            case VIVID_LIGHT ->
                    cs <= 0.5
                            ? channel(Blend.COLOR_BURN, cb, 2 * cs)
                            : channel(Blend.COLOR_DODGE, cb, 2 * (cs - 0.5));
            case PIN_LIGHT -> cs <= 0.5 ? Math.min(cb, 2 * cs) : Math.max(cb, 2 * (cs - 0.5));
            case DIFFERENCE -> Math.abs(cb - cs);
            case EXCLUSION -> cb + cs - 2 * cb * cs;
            case SUBTRACT -> cb - cs;
            case DIVIDE -> cs == 0 ? (cb == 0 ? 0 : 1) : cb / cs;
            default -> throw new IllegalArgumentException(mode + " is no mode of single channels");
        };
    }

    private static double lum(double[] c) {
        return 0.3 * c[0] + 0.59 * c[1] + 0.11 * c[2];
    }

    private static double sat(double[] c) {
        return max(c) - min(c);
    }

    private static double max(double[] c) {
        return Math.max(c[0], Math.max(c[1], c[2]));
    }

    private static double min(double[] c) {
        return Math.min(c[0], Math.min(c[1], c[2]));
    }

    private static double[] setLum(double[] c, double l) {
        double d = l - lum(c);
        double[] out = {c[0] + d, c[1] + d, c[2] + d};
        double now = lum(out);
        double n = min(out);
        double x = max(out);
        for (int i = 0; i < 3; i++) {
            if (n < 0) {
                out[i] = now + (out[i] - now) * now / (now - n);
            }
        }
        for (int i = 0; i < 3; i++) {
            if (x > 1) {
                out[i] = now + (out[i] - now) * (1 - now) / (x - now);
            }
        }
        return out;
    }

    /** SetSat as the standard defines it: the middle component is scaled between the others. */
    private static double[] setSat(double[] c, double s) {
        Integer[] rank = {0, 1, 2};
        java.util.Arrays.sort(rank, java.util.Comparator.comparingDouble(i -> c[i]));
        double[] out = new double[3];
        if (c[rank[2]] > c[rank[0]]) {
            out[rank[1]] = (c[rank[1]] - c[rank[0]]) * s / (c[rank[2]] - c[rank[0]]);
            out[rank[2]] = s;
        }
        return out;
    }
}
