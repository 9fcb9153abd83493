package ivrik.core.measure;

import ivrik.core.colour.Luma;
import ivrik.core.colour.Matrix3;

/**
 * Change of the average colour of pictures in shadows, midtones and highlights. The three zones overlap, and
 * their weights add up to 1 at every luma.
 */
public final class ColourCast {
    /** Shadows, midtones, highlights. */
    public static final int ZONES = 3;

    private static final int CHANNELS = 3;

    /** Weight below which a zone counts as empty and is not corrected. */
    private static final double NONE = 1e-9;

    private final double[][] weights = new double[ZONES][ZONES];
    private final double[][] wanted = new double[CHANNELS][ZONES];
    private final double[][] treated = new double[ZONES][CHANNELS];
    private final double[][] untouched = new double[ZONES][CHANNELS];
    private final double[] pixels = new double[ZONES];
    private long count;

    /** Weight of a luma in a zone. */
    public static double weight(int zone, double luma) {
        double shadows = Math.clamp(1 - 2 * luma, 0, 1);
        double lights = Math.clamp(2 * luma - 1, 0, 1);
        return zone == 0 ? shadows : zone == ZONES - 1 ? lights : 1 - shadows - lights;
    }

    /**
     * Adds a frame.
     *
     * @param before ARGB pixels of the untouched picture
     * @param after ARGB pixels of the treated picture
     */
    public void add(int[] before, int[] after) {
        double[] weight = new double[ZONES];
        for (int i = 0; i < before.length; i++) {
            double luma =
                    Luma.RED * value(after[i], 0)
                            + Luma.GREEN * value(after[i], 1)
                            + Luma.BLUE * value(after[i], 2);
            for (int zone = 0; zone < ZONES; zone++) {
                weight[zone] = weight(zone, luma);
            }
            for (int zone = 0; zone < ZONES; zone++) {
                if (weight[zone] == 0) {
                    continue;
                }
                pixels[zone] += weight[zone];
                for (int other = 0; other < ZONES; other++) {
                    weights[zone][other] += weight[zone] * weight[other];
                }
                for (int c = 0; c < CHANNELS; c++) {
                    double was = value(before[i], c);
                    double is = value(after[i], c);
                    untouched[zone][c] += weight[zone] * was;
                    treated[zone][c] += weight[zone] * is;
                    wanted[c][zone] += weight[zone] * (was - is);
                }
            }
        }
        count += before.length;
    }

    private static double value(int argb, int channel) {
        return (argb >> 16 - 8 * channel & 255) / 255.0;
    }

    /** Values to add per zone and channel that restore the averages: {@code [zone][channel]}. */
    public double[][] correction() {
        double least = NONE * Math.max(1, count);
        double[][] m = new double[ZONES][];
        for (int zone = 0; zone < ZONES; zone++) {
            m[zone] = weights[zone].clone();
            m[zone][zone] += least;
        }
        Matrix3 inverse =
                Matrix3.of(
                                m[0][0], m[0][1], m[0][2], m[1][0], m[1][1], m[1][2], m[2][0],
                                m[2][1], m[2][2])
                        .inverse();
        double[][] by = new double[ZONES][CHANNELS];
        for (int c = 0; c < CHANNELS; c++) {
            double[] solved = inverse.times(wanted[c]);
            for (int zone = 0; zone < ZONES; zone++) {
                by[zone][c] = solved[zone];
            }
        }
        return by;
    }

    /** Average of each channel in a zone before the treatment; 0 for an empty zone. */
    public double[] before(int zone) {
        return mean(untouched, zone);
    }

    /** Average of each channel in a zone after the treatment; 0 for an empty zone. */
    public double[] after(int zone) {
        return mean(treated, zone);
    }

    private double[] mean(double[][] sums, int zone) {
        double[] mean = new double[CHANNELS];
        for (int c = 0; c < CHANNELS; c++) {
            mean[c] = pixels[zone] == 0 ? 0 : sums[zone][c] / pixels[zone];
        }
        return mean;
    }
}
