package ivrik.core.picture;

import ivrik.core.threads.Workers;

import java.util.Arrays;
import java.util.List;
import java.util.function.Supplier;

/** Work on the samples of several planes at one place: planes in, as many as are wanted out. */
public final class Pixels {
    private Pixels() {}

    /** One row's work: the first {@code n} samples of each array. */
    @FunctionalInterface
    public interface Row {
        void run(float[][] in, float[][] out, int n);
    }

    /**
     * Planes made row by row of planes of one size. Rows begin at index 0 of arrays of their own, so
     * that the work vectorises; it may write to {@code in}.
     */
    public static List<Plane> map(List<Plane> in, int outputs, Workers workers, Row work) {
        boolean[] all = new boolean[outputs];
        Arrays.fill(all, true);
        return map(in, all, workers, work);
    }

    /**
     * The same, of which only some are kept.
     *
     * @param wanted one for each that the work makes
     * @return null for those that are not wanted
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

    /** The same of colour whose rows are made as they are asked for. */
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

    /** Row {@code y} of each plane. */
    public static void read(List<Plane> planes, int y, float[][] rows) {
        for (int i = 0; i < rows.length; i++) {
            Plane p = planes.get(i);
            System.arraycopy(p.data(), p.row(y), rows[i], 0, p.width());
        }
    }

    /** m times (a, b, c), for the first {@code n} samples; m row by row. */
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

    /** The same in double precision, for light, whose darkest parts are seen much enlarged. */
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
