package ivrik.core.filter;

import java.util.List;

/** Warps applied one after the other, as one warp; at least one. */
public record WarpChain(List<Warp> warps) implements Warp {
    @Override
    public void back(double[] x, double[] y, int n) {
        back(warps.size(), x, y, n);
    }

    @Override
    public void row(int row, double[] x, double[] y, int n) {
        warps.getLast().row(row, x, y, n);
        back(warps.size() - 1, x, y, n);
    }

    @Override
    public boolean places(int row, SplitPositions places, int n) {
        return warps.size() == 1 && warps.getFirst().places(row, places, n);
    }

    /** Applies the first {@code count} warps, the last of these first. */
    private void back(int count, double[] x, double[] y, int n) {
        for (int i = count - 1; i >= 0; i--) {
            warps.get(i).back(x, y, n);
        }
    }
}
