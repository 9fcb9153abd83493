package ivrik.core.treatment;

import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;

import java.util.function.Supplier;

/** Rows computed from the rows of a channel, sample by sample. */
final class ChannelRows implements Rows {
    private final Rows in;
    private final Rows other;
    private final Pair pair;

    private ChannelRows(Rows in, Rows other, Pair pair) {
        this.in = in;
        this.other = other;
        this.pair = pair;
    }

    /** Processes the first {@code n} samples of two rows. */
    @FunctionalInterface
    interface Pair {
        void row(float[] a, float[] b, float[] out, int n);
    }

    /** Processes the first {@code n} samples of one row. */
    @FunctionalInterface
    interface Each {
        void row(float[] in, float[] out, int n);
    }

    static Rows of(Rows in, Each each) {
        return new ChannelRows(in, null, (a, b, out, n) -> each.row(a, out, n));
    }

    /** Rows computed by work that each reader owns, with its scratch space. */
    static Rows byRow(Rows in, Supplier<RowTreatment.Work> work) {
        int n = in.width();
        return Rows.made(
                in.size(),
                () -> {
                    Reader channel = in.reader();
                    RowTreatment.Work own = work.get();
                    float[] row = new float[n];
                    return (y, out, o) -> {
                        channel.row(y, row, 0);
                        own.row(y, row);
                        System.arraycopy(row, 0, out, o, n);
                    };
                });
    }

    /** Rows computed from two inputs of the same size. */
    static Rows of(Rows in, Rows other, Pair pair) {
        return new ChannelRows(in, other, pair);
    }

    /** Rows computed from two inputs; the other is tiled if smaller. */
    static Rows repeated(Rows in, Plane other, Pair pair) {
        return new ChannelRows(in, new Repeated(other, in.size()), pair);
    }

    /** A plane tiled to a size. */
    private record Repeated(Plane one, Size size) implements Rows {
        @Override
        public Reader reader() {
            return (y, out, o) -> {
                int row = one.row(y % one.height());
                for (int x = 0; x < width(); x += one.width()) {
                    int n = Math.min(one.width(), width() - x);
                    System.arraycopy(one.data(), row, out, o + x, n);
                }
            };
        }
    }

    @Override
    public Size size() {
        return in.size();
    }

    @Override
    public Reader reader() {
        int n = in.width();
        Reader channel = in.reader();
        float[] a = new float[n];
        float[] b = other == null ? null : new float[n];
        float[] made = new float[n];
        Reader others = other == null ? null : other.reader();
        return (y, out, o) -> {
            channel.row(y, a, 0);
            if (others != null) {
                others.row(y, b, 0);
            }
            pair.row(a, b, made, n);
            System.arraycopy(made, 0, out, o, n);
        };
    }
}
