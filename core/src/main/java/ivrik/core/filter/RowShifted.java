package ivrik.core.filter;

import ivrik.core.picture.Lines;
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
        int taps = sampler.taps();
        float[] source = new float[n + taps];
        float[] weights = new float[taps];
        float[] made = new float[Lines.room(n)];
        double[] x = new double[1];
        double[] y = new double[1];
        Chain chain = new Chain(warps);
        return (row, out, o) -> {
            x[0] = 0.5;
            y[0] = row + 0.5;
            chain.back(x, y, 1);
            double place = x[0] - 0.5;
            double whole = Math.floor(place);
            sampler.weights((float) (place - whole), weights);
            int first = (int) whole + sampler.firstTap();
            fill.read(in, Math.round(y[0] - 0.5), first, source, n + taps - 1);
            for (int k = 0; k < taps; k++) {
                add(source, k, weights[k], made, n, k == 0);
            }
            System.arraycopy(made, 0, out, o, n);
        };
    }

    private static void add(float[] from, int at, float by, float[] sum, int n, boolean first) {
        if (first) {
            for (int i = 0; i < n; i++) {
                sum[i] = by * from[at + i];
            }
        } else {
            for (int i = 0; i < n; i++) {
                sum[i] += by * from[at + i];
            }
        }
    }
}
