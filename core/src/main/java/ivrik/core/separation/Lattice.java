package ivrik.core.separation;

import ivrik.core.colour.Matrix3;

/**
 * The colours that three channels represent in whole units: a lattice with a reduced basis (Lenstra, Lenstra
 * and Lovasz 1982, in three dimensions), so that rounding finds a point close to the nearest one (Babai
 * 1986).
 */
final class Lattice {
    private static final double LOVASZ = 0.99;

    /** Basis vectors as rows, and the same vectors in units of the channels. */
    private final double[][] basis = new double[3][];

    private final double[][] units = new double[3][];
    private final double[][] inverse;

    /**
     * @param colours colour of one unit of each channel, as columns
     * @param steps size of the unit of each channel
     */
    Lattice(double[][] colours, double[] steps) {
        for (int i = 0; i < 3; i++) {
            units[i] = new double[3];
            units[i][i] = 1;
            basis[i] =
                    new double[] {
                        colours[0][i] * steps[i], colours[1][i] * steps[i], colours[2][i] * steps[i]
                    };
        }
        reduce();
        inverse = Matrix3.ofColumns(basis[0], basis[1], basis[2]).inverse().rows();
    }

    private void reduce() {
        int k = 1;
        while (k < 3) {
            for (int j = k - 1; j >= 0; j--) {
                subtract(k, j, Math.rint(share(k, j)));
            }
            double mu = share(k, k - 1);
            if (length(k) >= (LOVASZ - mu * mu) * length(k - 1)) {
                k++;
            } else {
                swap(basis, k);
                swap(units, k);
                k = Math.max(1, k - 1);
            }
        }
    }

    /** Gram-Schmidt coefficient of vector {@code j} in vector {@code k}. */
    private double share(int k, int j) {
        double[] orthogonal = orthogonal(j);
        return dot(basis[k], orthogonal) / dot(orthogonal, orthogonal);
    }

    private double length(int k) {
        double[] v = orthogonal(k);
        return dot(v, v);
    }

    private double[] orthogonal(int k) {
        double[] v = basis[k].clone();
        for (int j = 0; j < k; j++) {
            double[] o = orthogonal(j);
            double mu = dot(basis[k], o) / dot(o, o);
            for (int i = 0; i < 3; i++) {
                v[i] -= mu * o[i];
            }
        }
        return v;
    }

    private void subtract(int k, int j, double times) {
        for (int i = 0; i < 3; i++) {
            basis[k][i] -= times * basis[j][i];
            units[k][i] -= times * units[j][i];
        }
    }

    private static void swap(double[][] rows, int k) {
        double[] row = rows[k];
        rows[k] = rows[k - 1];
        rows[k - 1] = row;
    }

    private static double dot(double[] a, double[] b) {
        return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
    }

    /** The whole units of the channels that approximate a colour best. */
    void nearest(double r, double g, double b, double[] out) {
        double p = Math.rint(inverse[0][0] * r + inverse[0][1] * g + inverse[0][2] * b);
        double q = Math.rint(inverse[1][0] * r + inverse[1][1] * g + inverse[1][2] * b);
        double s = Math.rint(inverse[2][0] * r + inverse[2][1] * g + inverse[2][2] * b);
        for (int i = 0; i < 3; i++) {
            out[i] = p * units[0][i] + q * units[1][i] + s * units[2][i];
        }
    }
}
