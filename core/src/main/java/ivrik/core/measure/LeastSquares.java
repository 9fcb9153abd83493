package ivrik.core.measure;

/** Normal equations of three unknowns. */
final class LeastSquares {
    /** Smallest determinant relative to the product of the diagonal. */
    private static final double SINGULAR = 1e-9;

    private LeastSquares() {}

    /** The inverse of a symmetric 3x3 matrix; empty if the matrix is close to singular. */
    static double[][] inverse(double[][] m) {
        double[][] cofactors = new double[3][3];
        for (int i = 0; i < 3; i++) {
            for (int j = 0; j < 3; j++) {
                int a = (i + 1) % 3;
                int b = (i + 2) % 3;
                int c = (j + 1) % 3;
                int d = (j + 2) % 3;
                cofactors[i][j] = m[a][c] * m[b][d] - m[a][d] * m[b][c];
            }
        }
        double determinant =
                m[0][0] * cofactors[0][0] + m[0][1] * cofactors[0][1] + m[0][2] * cofactors[0][2];
        if (!(determinant > SINGULAR * m[0][0] * m[1][1] * m[2][2])) {
            return new double[0][];
        }
        double[][] inverse = new double[3][3];
        for (int i = 0; i < 3; i++) {
            for (int j = 0; j < 3; j++) {
                inverse[i][j] = cofactors[j][i] / determinant;
            }
        }
        return inverse;
    }

    static double[] times(double[][] m, double[] v) {
        double[] out = new double[3];
        for (int i = 0; i < 3; i++) {
            out[i] = m[i][0] * v[0] + m[i][1] * v[1] + m[i][2] * v[2];
        }
        return out;
    }
}
