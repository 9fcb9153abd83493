package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.sampling.EdgeFill;

/**
 * A plane convolved as it is: first down, row by row, then along each row.
 *
 * @param across the half of a symmetric kernel, its middle first
 * @param down the same for the columns
 * @param fill left and right of the plane
 * @param fillDown above and below it
 */
record Symmetric(Plane in, float[] across, float[] down, EdgeFill fill, EdgeFill fillDown)
        implements Filtered {
    Symmetric(Plane in, float[] across, float[] down, EdgeFill fill) {
        this(in, across, down, fill, fill);
    }

    @Override
    public Reader reader() {
        int r = across.length - 1;
        int width = in.width();
        float[] sum = new float[r + width + r];
        Neighbours rows = new PlaneRows(in, fillDown);
        Neighbours moved = new Moved(sum);
        return (y, out, o) -> {
            rows.about(y, down, sum, r, width);
            fill.extend(sum, r, width);
            moved.about(r, across, out, o, width);
        };
    }

    /** A row, moved. */
    private record Moved(float[] row) implements Neighbours {
        @Override
        public float[] data(int by) {
            return row;
        }

        @Override
        public int at(int by) {
            return by;
        }
    }
}
