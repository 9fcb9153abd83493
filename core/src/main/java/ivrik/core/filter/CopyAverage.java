package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.picture.RowArithmetic;
import ivrik.core.sampling.EdgeFill;

import java.util.Arrays;
import java.util.List;

/**
 * A weighted mean of a plane and transformed copies of itself. The weights sum to one. The differences
 * between each copy and the plane are summed, so that flat areas stay exact.
 */
public final class CopyAverage implements FilteredRows {
    private final Plane in;
    private final List<Copy> copies;
    private final EdgeFill fill;

    /** One copy and its weight. */
    public record Copy(Affine at, double weight) {}

    public CopyAverage(Plane in, List<Copy> copies, EdgeFill fill) {
        this.in = in;
        this.copies = List.copyOf(copies);
        this.fill = fill;
    }

    @Override
    public Plane in() {
        return in;
    }

    @Override
    public Reader reader() {
        int n = in.width();
        float[] one = new float[n];
        float[] own = new float[n];
        float[] sum = new float[n];
        AffineRow rows = new AffineRow(in, fill);
        return (row, out, o) -> {
            System.arraycopy(in.data(), in.row(row), own, 0, n);
            Arrays.fill(sum, 0f);
            for (Copy copy : copies) {
                rows.read(copy.at(), row, one);
                RowArithmetic.addDifference(one, own, (float) copy.weight(), sum);
            }
            for (int i = 0; i < n; i++) {
                out[o + i] = own[i] + sum[i];
            }
        };
    }
}
