package ivrik.core.filter;

import java.util.List;

/** Warps one after the other, as one; at least one. */
public record Chain(List<Warp> warps) implements Warp {
    @Override
    public void back(double[] x, double[] y, int n) {
        for (Warp warp : warps.reversed()) {
            warp.back(x, y, n);
        }
    }

    @Override
    public void row(int row, double[] x, double[] y, int n) {
        warps.getLast().row(row, x, y, n);
        for (Warp warp : warps.subList(0, warps.size() - 1).reversed()) {
            warp.back(x, y, n);
        }
    }
}
