package ivrik.core.treatment;

import ivrik.core.colour.Primaries;
import ivrik.core.separation.Ink;
import ivrik.core.separation.LaneKind;

/**
 * How strongly the lanes see the wavelengths of light: the CIE 1931 colour matching functions by their
 * fit with Gaussian lobes (Wyman, Sloan, Shirley 2013), as red, green and blue of sRGB without what is
 * negative; a lane sees what its ink is made of.
 */
final class Spectrum {
    /** The long and the short end, in nanometres. */
    private static final double LONG_NM = 660;

    private static final double SHORT_NM = 420;

    private Spectrum() {}

    /** The weights of {@code n} wavelengths for a lane, from short to long; they sum to one. */
    static double[] weights(LaneKind lane, int n) {
        double[][] rgb = new double[3][n];
        for (int k = 0; k < n; k++) {
            double nm = SHORT_NM + (LONG_NM - SHORT_NM) * (k + 0.5) / n;
            double[] light = Primaries.SRGB.toXyz().inverse().times(x(nm), y(nm), z(nm));
            for (int c = 0; c < 3; c++) {
                rgb[c][k] = Math.max(0, light[c]);
            }
        }
        for (double[] channel : rgb) {
            norm(channel);
        }
        double[] weights = new double[n];
        for (int k = 0; k < n; k++) {
            for (int c = 0; c < 3; c++) {
                weights[k] += share(lane, c) * rgb[c][k];
            }
        }
        return norm(weights);
    }

    /** How much a lane has to do with a channel: ink on paper with those it takes away. */
    private static double share(LaneKind lane, int channel) {
        Ink ink = lane.ink();
        return switch (lane.paint()) {
            case LIGHT -> ink.part(channel);
            case INK -> 1 - ink.part(channel);
            case SIGNED, ANGLE -> 1;
        };
    }

    private static double[] norm(double[] values) {
        double sum = 0;
        for (double v : values) {
            sum += v;
        }
        for (int i = 0; i < values.length; i++) {
            values[i] = sum == 0 ? 1.0 / values.length : values[i] / sum;
        }
        return values;
    }

    private static double lobe(double nm, double middle, double below, double above) {
        double t = (nm - middle) * (nm < middle ? below : above);
        return StrictMath.exp(-0.5 * t * t);
    }

    private static double x(double nm) {
        return 0.362 * lobe(nm, 442.0, 0.0624, 0.0374)
                + 1.056 * lobe(nm, 599.8, 0.0264, 0.0323)
                - 0.065 * lobe(nm, 501.1, 0.0490, 0.0382);
    }

    private static double y(double nm) {
        return 0.821 * lobe(nm, 568.8, 0.0213, 0.0247) + 0.286 * lobe(nm, 530.9, 0.0613, 0.0322);
    }

    private static double z(double nm) {
        return 1.217 * lobe(nm, 437.0, 0.0845, 0.0278) + 0.681 * lobe(nm, 459.0, 0.0385, 0.0725);
    }
}
