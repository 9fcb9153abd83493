package ivrik.core.colour;

/**
 * An immutable 3x3 matrix in double precision.
 *
 * @param rows three rows of three numbers
 */
public record Matrix3(double[][] rows) {
    public Matrix3 {
        rows = new double[][] {rows[0].clone(), rows[1].clone(), rows[2].clone()};
    }

    public static Matrix3 of(double... m) {
        return new Matrix3(
                new double[][] {{m[0], m[1], m[2]}, {m[3], m[4], m[5]}, {m[6], m[7], m[8]}});
    }

    public static Matrix3 ofColumns(double[] a, double[] b, double[] c) {
        return of(a[0], b[0], c[0], a[1], b[1], c[1], a[2], b[2], c[2]);
    }

    public double at(int row, int column) {
        return rows[row][column];
    }

    public double[] column(int column) {
        return new double[] {at(0, column), at(1, column), at(2, column)};
    }

    public double[] times(double... v) {
        double[] out = new double[3];
        for (int i = 0; i < 3; i++) {
            out[i] = at(i, 0) * v[0] + at(i, 1) * v[1] + at(i, 2) * v[2];
        }
        return out;
    }

    public Matrix3 times(Matrix3 m) {
        return ofColumns(times(m.column(0)), times(m.column(1)), times(m.column(2)));
    }

    /** Each row multiplied by its own factor. */
    public Matrix3 scaledRows(double a, double b, double c) {
        return of(a, 0, 0, 0, b, 0, 0, 0, c).times(this);
    }

    public double determinant() {
        double[] c = cofactors(0);
        return at(0, 0) * c[0] + at(0, 1) * c[1] + at(0, 2) * c[2];
    }

    private double[] cofactors(int row) {
        double[] p = rows[(row + 1) % 3];
        double[] q = rows[(row + 2) % 3];
        return new double[] {
            p[1] * q[2] - p[2] * q[1], p[2] * q[0] - p[0] * q[2], p[0] * q[1] - p[1] * q[0]
        };
    }

    /**
     * The inverse matrix.
     *
     * @throws ArithmeticException if the matrix is singular
     */
    public Matrix3 inverse() {
        double d = determinant();
        if (d == 0) {
            throw new ArithmeticException("the matrix has no inverse");
        }
        Matrix3 adjugate = ofColumns(cofactors(0), cofactors(1), cofactors(2));
        return adjugate.scaledRows(1 / d, 1 / d, 1 / d);
    }

    /**
     * Condition number: largest singular value divided by the smallest; infinite for a singular matrix. The
     * squared singular values are the eigenvalues of the transpose times the matrix, computed by the
     * trigonometric method for symmetric 3x3 matrices (Smith 1961). The smallest singular value is derived
     * from the determinant, to keep its precision.
     */
    public double condition() {
        double d = Math.abs(determinant());
        if (d == 0) {
            return Double.POSITIVE_INFINITY;
        }
        Matrix3 a =
                of(
                                at(0, 0), at(1, 0), at(2, 0), at(0, 1), at(1, 1), at(2, 1),
                                at(0, 2), at(1, 2), at(2, 2))
                        .times(this);
        double q = (a.at(0, 0) + a.at(1, 1) + a.at(2, 2)) / 3;
        double off = sq(a.at(0, 1)) + sq(a.at(0, 2)) + sq(a.at(1, 2));
        double p =
                Math.sqrt(
                        (sq(a.at(0, 0) - q) + sq(a.at(1, 1) - q) + sq(a.at(2, 2) - q) + 2 * off)
                                / 6);
        if (p == 0) {
            return 1;
        }
        Matrix3 b =
                of(
                        (a.at(0, 0) - q) / p,
                        a.at(0, 1) / p,
                        a.at(0, 2) / p,
                        a.at(1, 0) / p,
                        (a.at(1, 1) - q) / p,
                        a.at(1, 2) / p,
                        a.at(2, 0) / p,
                        a.at(2, 1) / p,
                        (a.at(2, 2) - q) / p);
        double phi = StrictMath.acos(Math.clamp(b.determinant() / 2, -1, 1)) / 3;
        double largest = q + 2 * p * StrictMath.cos(phi);
        double smallest = q + 2 * p * StrictMath.cos(phi + 2 * Math.PI / 3);
        double middle = 3 * q - largest - smallest;
        return Math.sqrt(largest) * Math.sqrt(largest) * Math.sqrt(middle) / d;
    }

    private static double sq(double v) {
        return v * v;
    }

    /** The nine numbers, row by row. */
    public double[] numbers() {
        double[] n = new double[9];
        for (int i = 0; i < 9; i++) {
            n[i] = at(i / 3, i % 3);
        }
        return n;
    }

    /** The nine numbers as floats, row by row. */
    public float[] floats() {
        float[] f = new float[9];
        for (int i = 0; i < 9; i++) {
            f[i] = (float) at(i / 3, i % 3);
        }
        return f;
    }
}
