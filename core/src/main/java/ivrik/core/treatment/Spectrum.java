package ivrik.core.treatment;

import ivrik.core.colour.Primaries;
import ivrik.core.separation.ChannelKind;
import ivrik.core.separation.Ink;

/**
 * Sensitivity of the channels to wavelengths: the CIE 1931 colour matching functions in the Gaussian
 * approximation of Wyman, Sloan, Shirley (2013), converted to sRGB with negative values removed, weighted by
 * the channel's ink.
 */
final class Spectrum {
    /** Ends of the spectrum in nanometres. */
    private static final double LONG_NM = 660;

    private static final double SHORT_NM = 420;

    private Spectrum() {}

    /** Weights of {@code n} wavelengths for a channel, from short to long; they add up to 1. */
    static double[] weights(ChannelKind channel, int n) {
        double[][] rgb = new double[3][n];
        for (int k = 0; k < n; k++) {
            double nm = SHORT_NM + (LONG_NM - SHORT_NM) * (k + 0.5) / n;
            double[] light = Primaries.SRGB.toXyz().inverse().times(x(nm), y(nm), z(nm));
            for (int c = 0; c < 3; c++) {
                rgb[c][k] = Math.max(0, light[c]);
            }
        }
        for (double[] primary : rgb) {
            norm(primary);
        }
        double[] weights = new double[n];
        for (int k = 0; k < n; k++) {
            for (int c = 0; c < 3; c++) {
                weights[k] += share(channel, c) * rgb[c][k];
            }
        }
        return norm(weights);
    }

    /** Contribution of a primary to a channel; inks use the primaries they absorb. */
    private static double share(ChannelKind channel, int primary) {
        Ink ink = channel.ink();
        return switch (channel.paint()) {
            case LIGHT -> ink.part(primary);
            case INK -> 1 - ink.part(primary);
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
