package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.picture.PlaneArithmetic;
import ivrik.core.picture.RowArithmetic;
import ivrik.core.picture.Rows;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.threads.Workers;

/**
 * Erosion and dilation: minimum or maximum around each sample, on integers in the order of the floats.
 * Squares: columns by blocks, rows by doubling the window. Discs: each row of the disc is the union of two
 * windows whose length is a power of two.
 * <p>For fractional radii the results of the adjacent integer radii are interpolated.
 */
public enum Morphology {
    EROSION(0),
    DILATION(-1);

    /** Bit mask that turns the search for the maximum into a search for the minimum. */
    final int turn;

    Morphology(int turn) {
        this.turn = turn;
    }

    /**
     * @param radius in samples, 0 or more
     * @param round disc instead of square
     */
    public Rows of(Plane in, double radius, boolean round, EdgeFill fill, Workers workers) {
        int whole = (int) Math.floor(radius);
        float rest = (float) (radius - whole);
        Rows less = whole(in, whole, round, fill);
        if (rest == 0) {
            return less;
        }
        Plane more = whole(in, whole + 1, round, fill).toPlane(workers);
        return Rows.of(PlaneArithmetic.mix(less.toPlane(workers), more, rest, workers));
    }

    private Rows whole(Plane in, int radius, boolean round, EdgeFill fill) {
        if (radius == 0) {
            return Rows.of(in);
        }
        return round
                ? new DiscMorphology(this, in, radius, fill)
                : new Squares(in, turn, radius, fill);
    }

    private record Squares(Plane in, int turn, int radius, EdgeFill fill) implements BlockRows {
        @Override
        public int block() {
            return 2 * radius + 1;
        }

        @Override
        public Reader reader() {
            int width = in.width();
            int length = 2 * radius + 1;
            Codes down = new Codes(in, turn, radius, fill);
            int[] windows = new int[RowArithmetic.room(width + 2 * radius) + length];
            float[] floats = new float[RowArithmetic.room(width)];
            return (y, out, o) -> {
                System.arraycopy(down.window(y), 0, windows, 0, width + 2 * radius);
                int power = 1;
                for (; power * 2 <= length; power *= 2) {
                    int n = width + 2 * radius - power;
                    OrderedFloats.least(windows, 0, windows, power, windows, n);
                }
                OrderedFloats.least(windows, 0, windows, length - power, windows, width);
                OrderedFloats.decode(windows, turn, floats, width);
                System.arraycopy(floats, 0, out, o, width);
            };
        }
    }

    /** Minimum codes of columns, including columns beyond the picture that windows need. */
    private static final class Codes extends VanHerkWindow<int[]> {
        private final Plane in;
        private final int turn;
        private final int radius;
        private final EdgeFill fill;
        private final float[] floats;

        Codes(Plane in, int turn, int radius, EdgeFill fill) {
            super(2 * radius + 1, RowArithmetic.room(in.width() + 2 * radius));
            this.in = in;
            this.turn = turn;
            this.radius = radius;
            this.fill = fill;
            this.floats = new float[room];
        }

        @Override
        int[] fresh() {
            return new int[room];
        }

        @Override
        void read(int n, int[] to) {
            fill.read(in, n - radius, -radius, floats, in.width() + 2 * radius);
            OrderedFloats.code(floats, turn, to, room);
        }

        @Override
        void merge(int[] a, int[] b, int[] out) {
            OrderedFloats.least(a, 0, b, 0, out, room);
        }
    }
}
