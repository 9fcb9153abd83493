package ivrik.core.filter;

import ivrik.core.picture.Lines;
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
        float[] sum = new float[r + Lines.room(width) + r + Lines.room(r)];
        boolean whole = Lines.room(width) == width;
        float[] result = whole ? null : new float[Lines.room(width)];
        Neighbours rows = new RowVectors(in, fillDown);
        Neighbours moved = new Moved(sum);
        return (y, out, o) -> {
            rows.about(y, down, sum, r, width);
            fill.extend(sum, r, width);
            if (whole) {
                moved.about(r, across, out, o, width);
            } else {
                moved.about(r, across, result, 0, width);
                System.arraycopy(result, 0, out, o, width);
            }
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
