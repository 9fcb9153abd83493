package ivrik.core.picture;

import ivrik.core.threads.Workers;

import java.util.Arrays;
import java.util.List;
import java.util.function.Supplier;

/** Pixel-by-pixel computation over several planes. */
public final class Pixels {
    private Pixels() {}

    /** Computes the first {@code n} samples of one row of each plane. */
    @FunctionalInterface
    public interface Row {
        void run(float[][] in, float[][] out, int n);
    }

    /**
     * Computes planes row by row from planes of the same size. Each row starts at index 0 of its own array,
     * so that loops vectorise. The work may overwrite {@code in}.
     */
    public static List<Plane> map(List<Plane> in, int outputs, Workers workers, Row work) {
        boolean[] all = new boolean[outputs];
        Arrays.fill(all, true);
        return map(in, all, workers, work);
    }

    /**
     * Computes planes row by row and keeps some of them.
     *
     * @param wanted one flag per output of the work
     * @return null for outputs that are not wanted
     */
    public static List<Plane> map(List<Plane> in, boolean[] wanted, Workers workers, Row work) {
        Plane first = in.getFirst();
        if (!in.stream().allMatch(p -> p.size().equals(first.size()))) {
            throw new IllegalArgumentException("planes of several sizes");
        }
        return map(
                in.size(),
                first.size(),
                () -> (y, rows) -> read(in, y, rows),
                wanted,
                workers,
                work);
    }

    /**
     * Computes planes row by row from rows that are computed on request.
     *
     * @param wanted one flag per output of the work
     * @return null for outputs that are not wanted
     */
    public static List<Plane> map(ColourRows in, boolean[] wanted, Workers workers, Row work) {
        return map(3, in.size(), in::reader, wanted, workers, work);
    }

    private static List<Plane> map(
            int inputs,
            Size size,
            Supplier<ColourRows.Reader> in,
            boolean[] wanted,
            Workers workers,
            Row work) {
        int w = size.width();
        Plane[] out = new Plane[wanted.length];
        for (int i = 0; i < out.length; i++) {
            out[i] = wanted[i] ? Plane.of(w, size.height()) : null;
        }
        workers.eachRow(
                size.height(),
                () -> {
                    ColourRows.Reader reader = in.get();
                    float[][] a = new float[inputs][w];
                    float[][] b = new float[out.length][w];
                    return y -> {
                        reader.row(y, a);
                        work.run(a, b, w);
                        for (int i = 0; i < out.length; i++) {
                            if (wanted[i]) {
                                System.arraycopy(b[i], 0, out[i].data(), y * w, w);
                            }
                        }
                    };
                });
        return Arrays.asList(out);
    }

    /** Copies row {@code y} of each plane. */
    public static void read(List<Plane> planes, int y, float[][] rows) {
        for (int i = 0; i < rows.length; i++) {
            Plane p = planes.get(i);
            System.arraycopy(p.data(), p.row(y), rows[i], 0, p.width());
        }
    }

    /**
     * Multiplies the first {@code n} pixels by a matrix.
     *
     * @param m nine numbers, row by row
     */
    public static void matrix(float[] m, float[][] in, float[][] out, int n) {
        row(m[0], m[1], m[2], in[0], in[1], in[2], out[0], n);
        row(m[3], m[4], m[5], in[0], in[1], in[2], out[1], n);
        row(m[6], m[7], m[8], in[0], in[1], in[2], out[2], n);
    }

    private static void row(
            float p, float q, float r, float[] a, float[] b, float[] c, float[] out, int n) {
        for (int i = 0; i < n; i++) {
            out[i] = p * a[i] + q * b[i] + r * c[i];
        }
    }

    /**
     * Multiplies the first {@code n} pixels by a matrix in double precision. Used for linear light, where
     * errors in dark values are magnified.
     *
     * @param m nine numbers, row by row
     */
    public static void matrix(double[] m, float[][] in, float[][] out, int n) {
        row(m[0], m[1], m[2], in[0], in[1], in[2], out[0], n);
        row(m[3], m[4], m[5], in[0], in[1], in[2], out[1], n);
        row(m[6], m[7], m[8], in[0], in[1], in[2], out[2], n);
    }

    private static void row(
            double p, double q, double r, float[] a, float[] b, float[] c, float[] out, int n) {
        for (int i = 0; i < n; i++) {
            out[i] = (float) (p * a[i] + q * b[i] + r * c[i]);
        }
    }
}
