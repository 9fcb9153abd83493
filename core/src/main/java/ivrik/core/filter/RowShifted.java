package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;

import java.util.List;

/** A plane whose rows are shifted, each by its own way: they are sampled along themselves only. */
record RowShifted(Plane in, List<Warp> warps, EdgeFill fill, Sampler sampler) implements Filtered {
    /** Whether a chain of warps comes to that: row shifts, and translations by whole rows. */
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
        Chain chain = new Chain(warps);
        ShiftedRuns runs = new ShiftedRuns(in, n, fill, sampler);
        return (row, out, o) -> {
            x[0] = 0.5;
            y[0] = row + 0.5;
            chain.back(x, y, 1);
            runs.run(x[0], y[0], n, out, o);
        };
    }
}
