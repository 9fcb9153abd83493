package ivrik.core.treatment;

import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;

/** Rows made from the rows of planes, sample by sample. */
final class PlaneRows implements Rows {
    private final Plane in;
    private final Plane other;
    private final Pair pair;

    private PlaneRows(Plane in, Plane other, Pair pair) {
        this.in = in;
        this.other = other;
        this.pair = pair;
    }

    /** Work on the first {@code n} samples of two rows. */
    @FunctionalInterface
    interface Pair {
        void row(float[] a, float[] b, float[] out, int n);
    }

    /** Work on the first {@code n} samples of one row. */
    @FunctionalInterface
    interface Each {
        void row(float[] in, float[] out, int n);
    }

    static Rows of(Plane in, Each each) {
        return new PlaneRows(in, null, (a, b, out, n) -> each.row(a, out, n));
    }

    /** The other repeats itself if it is smaller. */
    static Rows of(Plane in, Plane other, Pair pair) {
        return new PlaneRows(in, other, pair);
    }

    @Override
    public int width() {
        return in.width();
    }

    @Override
    public int height() {
        return in.height();
    }

    @Override
    public Reader reader() {
        int n = in.width();
        float[] a = new float[n];
        float[] b = other == null ? null : new float[n];
        float[] made = new float[n];
        return (y, out, o) -> {
            System.arraycopy(in.data(), in.row(y), a, 0, n);
            if (other != null) {
                int row = other.row(y % other.height());
                for (int x = 0; x < n; x += other.width()) {
                    System.arraycopy(other.data(), row, b, x, Math.min(other.width(), n - x));
                }
            }
            pair.row(a, b, made, n);
            System.arraycopy(made, 0, out, o, n);
        };
    }
}
