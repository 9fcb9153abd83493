package ivrik.core.separation;

import ivrik.core.colour.Matrix3;
import ivrik.core.picture.Pixels;

import java.util.HashMap;
import java.util.Map;

/**
 * Converts between colours and channels by a matrix. For an ill-conditioned matrix the channels are large,
 * and rounding them to floats would be visible in a 16-bit picture; the last bits of all three channels are
 * then chosen together so that their errors cancel. Channels with remainders do not need this: the two floats
 * hold 48 bits.
 */
final class PrimariesSolver {
    /** Condition number above which plain rounding is visible in 16 bits. */
    private static final double HARMLESS_CONDITION = 10;

    /** Exponent of a float's last bit relative to its first. */
    private static final int LAST_BIT = 23;

    /** Largest code value of a 16-bit picture. */
    private static final float CODES = 65535;

    /** Channel size above which half of the last bit exceeds half a code value. */
    private static final float LARGE = 128;

    /** Smallest exponent that is distinguished. */
    private static final int SMALLEST = -40;

    private final double[][] m;
    private final double[][] inverse;
    private final double[] back;
    private final boolean careful;

    PrimariesSolver(Matrix3 matrix, double condition) {
        m = matrix.rows();
        inverse = matrix.inverse().rows();
        back = matrix.numbers();
        careful = condition > HARMLESS_CONDITION;
    }

    /** Channels of the first {@code n} colours, and their remainders if there is room. */
    void separate(float[][] in, float[][] out, int n) {
        if (out.length > 3) {
            for (int k = 0; k < 3; k++) {
                separate(inverse[k], in, out[k], out[3 + k], n);
            }
            return;
        }
        Rounding rounding = new Rounding();
        for (int i = 0; i < n; i++) {
            separate(in, out, i, rounding);
        }
    }

    private static void separate(
            double[] row, float[][] in, float[] channel, float[] remainder, int n) {
        for (int i = 0; i < n; i++) {
            double exact = row[0] * in[0][i] + row[1] * in[1][i] + row[2] * in[2][i];
            channel[i] = (float) exact;
            remainder[i] = (float) (exact - channel[i]);
        }
    }

    private void separate(float[][] in, float[][] out, int i, Rounding rounding) {
        double r = in[0][i];
        double g = in[1][i];
        double b = in[2][i];
        for (int k = 0; k < 3; k++) {
            out[k][i] = (float) (inverse[k][0] * r + inverse[k][1] * g + inverse[k][2] * b);
        }
        if (careful) {
            rounding.improve(out, i, r, g, b);
        }
    }

    /** Colours of the first {@code n} channels. */
    void rejoin(float[][] in, float[][] out, int n) {
        if (in.length > 3) {
            for (int c = 0; c < 3; c++) {
                for (int i = 0; i < n; i++) {
                    out[c][i] =
                            (float)
                                    (m[c][0] * ((double) in[0][i] + in[3][i])
                                            + m[c][1] * ((double) in[1][i] + in[4][i])
                                            + m[c][2] * ((double) in[2][i] + in[5][i]));
                }
            }
            return;
        }
        Pixels.matrix(back, in, out, n);
        if (!careful) {
            return;
        }
        Rounding rounding = new Rounding();
        for (int i = 0; i < n; i++) {
            float largest =
                    Math.max(Math.abs(in[0][i]), Math.max(Math.abs(in[1][i]), Math.abs(in[2][i])));
            if (largest > LARGE) {
                snap(in, out, i, rounding);
            }
        }
    }

    /**
     * Rounds a colour to 16-bit code values if the rounded colour separates into exactly these channels:
     * large channels have last bits as coarse as code values.
     */
    private void snap(float[][] channels, float[][] colour, int i, Rounding rounding) {
        float[][] code = new float[3][1];
        float[][] again = new float[3][1];
        for (int corner = 0; corner < 8; corner++) {
            for (int c = 0; c < 3; c++) {
                double low = Math.floor(colour[c][i] * CODES);
                code[c][0] = (float) (low + (corner >> c & 1)) / CODES;
            }
            separate(code, again, 0, rounding);
            if (again[0][0] == channels[0][i]
                    && again[1][0] == channels[1][i]
                    && again[2][0] == channels[2][i]) {
                for (int c = 0; c < 3; c++) {
                    colour[c][i] = code[c][0];
                }
                return;
            }
        }
    }

    /** Lattices by channel exponents; for one thread. */
    private final class Rounding {
        private final Map<Integer, Lattice> lattices = new HashMap<>();
        private final int[] exponent = new int[3];
        private final double[] units = new double[3];
        private final double[] moved = new double[3];
        private int lastKey = -1;
        private Lattice last;

        void improve(float[][] channels, int i, double r, double g, double b) {
            for (int k = 0; k < 3; k++) {
                exponent[k] = Math.max(Math.getExponent(channels[k][i]), SMALLEST);
            }
            while (!move(channels, i, r, g, b)) {
                // a channel passed a power of two, where floats are farther apart: repeat with the
                // new
                // spacing
            }
        }

        /**
         * Moves the channels to the best approximation of the colour; returns whether the lattice exists.
         */
        private boolean move(float[][] channels, int i, double r, double g, double b) {
            double x = channels[0][i];
            double y = channels[1][i];
            double z = channels[2][i];
            lattice()
                    .nearest(
                            r - (m[0][0] * x + m[0][1] * y + m[0][2] * z),
                            g - (m[1][0] * x + m[1][1] * y + m[1][2] * z),
                            b - (m[2][0] * x + m[2][1] * y + m[2][2] * z),
                            units);
            boolean fits = true;
            for (int k = 0; k < 3; k++) {
                moved[k] = channels[k][i] + units[k] * step(k);
                if ((float) moved[k] != moved[k]) {
                    exponent[k]++;
                    channels[k][i] = (float) (Math.rint(channels[k][i] / step(k)) * step(k));
                    fits = false;
                }
            }
            for (int k = 0; fits && k < 3; k++) {
                channels[k][i] = (float) moved[k];
            }
            return fits;
        }

        private double step(int k) {
            return Math.scalb(1.0, exponent[k] - LAST_BIT);
        }

        private Lattice lattice() {
            int key = exponent[0] + 127 << 16 | exponent[1] + 127 << 8 | exponent[2] + 127;
            if (key != lastKey) {
                last =
                        lattices.computeIfAbsent(
                                key,
                                missing ->
                                        new Lattice(m, new double[] {step(0), step(1), step(2)}));
                lastKey = key;
            }
            return last;
        }
    }
}
