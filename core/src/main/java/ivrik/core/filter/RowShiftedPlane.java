package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;

import java.util.List;

/** A plane whose rows are shifted individually: rows are sampled horizontally only. */
record RowShiftedPlane(Plane in, List<Warp> warps, EdgeFill fill, Sampler sampler)
        implements FilteredRows {
    /** Whether a chain of warps consists of row shifts and vertical translations by whole rows. */
    static boolean fits(List<Warp> warps) {
        return warps.stream().anyMatch(RowShift.class::isInstance)
                && warps.stream().allMatch(w -> w instanceof RowShift || isByWholeRows(w));
    }

    private static boolean isByWholeRows(Warp warp) {
        return warp instanceof Affine a && a.isTranslation() && a.y0() == Math.rint(a.y0());
    }

    @Override
    public Reader reader() {
        int n = in.width();
        double[] x = new double[1];
        double[] y = new double[1];
        WarpChain chain = new WarpChain(warps);
        ShiftedRuns runs = new ShiftedRuns(in, n, fill, sampler);
        return (row, out, o) -> {
            x[0] = 0.5;
            y[0] = row + 0.5;
            chain.back(x, y, 1);
            runs.run(x[0], y[0], n, out, o);
        };
    }
}
