package ivrik.core.filter;

import ivrik.core.picture.Lines;
import ivrik.core.picture.Plane;
import ivrik.core.sampling.EdgeFill;

/**
 * A plane convolved as it is: first down, row by row, then along each row.
 *
 * @param across the half of a symmetric kernel, its middle first
 * @param down the same for the columns
 */
record Symmetric(Plane in, float[] across, float[] down, EdgeFill fill) implements Filtered {
    @Override
    public Reader reader() {
        int r = across.length - 1;
        int width = in.width();
        float[] sum = new float[r + Lines.room(width) + r + Lines.room(r)];
        float[] result = new float[Lines.room(width)];
        RowVectors rows = new RowVectors(in, fill);
        return (y, out, o) -> {
            down(rows, y, sum, r);
            fill.extend(sum, r, width);
            along(sum, r, result);
            System.arraycopy(result, 0, out, o, width);
        };
    }

    private void down(RowVectors rows, int y, float[] sum, int to) {
        int n = in.width();
        float[] base = rows.data(y);
        int from = rows.at(y);
        float u = down[0];
        int k = 1;
        for (; k + 1 < down.length; k += 2) {
            int a = y - k;
            int b = y + k;
            int c = a - 1;
            int d = b + 1;
            Lines.pairs(
                    base,
                    from,
                    u,
                    rows.data(a),
                    rows.at(a),
                    rows.data(b),
                    rows.at(b),
                    down[k],
                    rows.data(c),
                    rows.at(c),
                    rows.data(d),
                    rows.at(d),
                    down[k + 1],
                    sum,
                    to,
                    n);
            base = sum;
            from = to;
            u = 1;
        }
        if (base != sum) {
            Lines.scale(base, from, u, sum, to, n);
        }
        if (k < down.length) {
            int a = y - k;
            int b = y + k;
            Lines.addPair(rows.data(a), rows.at(a), rows.data(b), rows.at(b), down[k], sum, to, n);
        }
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
