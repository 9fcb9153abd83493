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
        float[] result = new float[Lines.room(width)];
        RowVectors rows = new RowVectors(in, fillDown);
        return (y, out, o) -> {
            rows.about(y, down, sum, r);
            fill.extend(sum, r, width);
            along(sum, r, result);
            System.arraycopy(result, 0, out, o, width);
        };
    }

    private void along(float[] row, int middle, float[] out) {
        int n = in.width();
        float[] base = row;
        int from = middle;
        float u = across[0];
        int k = 1;
        for (; k + 1 < across.length; k += 2) {
            int a = middle - k;
            int b = middle + k;
            float v = across[k];
            float w = across[k + 1];
            Lines.pairs(base, from, u, row, a, row, b, v, row, a - 1, row, b + 1, w, out, 0, n);
            base = out;
            from = 0;
            u = 1;
        }
        if (base != out) {
            Lines.scale(row, middle, u, out, 0, n);
        }
        if (k < across.length) {
            Lines.addPair(row, middle - k, row, middle + k, across[k], out, 0, n);
        }
    }
}
