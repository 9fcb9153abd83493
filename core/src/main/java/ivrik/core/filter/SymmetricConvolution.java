package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.sampling.EdgeFill;

/**
 * Direct separable convolution: first vertically, then along each row.
 *
 * @param across one half of a symmetric kernel, from the centre outwards
 * @param down the same for the columns
 * @param fill edge fill at the left and right
 * @param fillDown edge fill at the top and bottom
 */
record SymmetricConvolution(
        Plane in, float[] across, float[] down, EdgeFill fill, EdgeFill fillDown)
        implements FilteredRows {
    SymmetricConvolution(Plane in, float[] across, float[] down, EdgeFill fill) {
        this(in, across, down, fill, fill);
    }

    @Override
    public Reader reader() {
        int r = across.length - 1;
        int width = in.width();
        float[] sum = new float[r + width + r];
        SymmetricPairs rows = new PlaneRows(in, fillDown);
        SymmetricPairs moved = new Moved(sum);
        return (y, out, o) -> {
            rows.about(y, down, sum, r, width);
            fill.extend(sum, r, width);
            moved.about(r, across, out, o, width);
        };
    }

    /** A row shifted to the left and right. */
    private record Moved(float[] row) implements SymmetricPairs {
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
