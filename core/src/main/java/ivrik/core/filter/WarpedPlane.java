package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A plane under a chain of warps, sampled once. Chains that amount to a translation, to row shifts, to an
 * axis-aligned mapping or to the identity use faster code.
 */
public final class WarpedPlane implements Rows {
    private final Plane in;
    private final Size size;
    private final Warp warp;
    private final EdgeFill fill;
    private final Sampler sampler;

    private WarpedPlane(Plane in, Size size, Warp warp, EdgeFill fill, Sampler sampler) {
        this.in = in;
        this.size = size;
        this.warp = warp;
        this.fill = fill;
        this.sampler = sampler;
    }

    /**
     * @param warps applied in order
     * @return a plane of the same size
     */
    public static Rows of(Plane in, List<Warp> warps, EdgeFill fill, Sampler sampler) {
        return of(in, in.size(), warps, fill, sampler);
    }

    /**
     * @param size size of the result; the top left corners coincide
     * @param warps applied in order
     */
    public static Rows of(Plane in, Size size, List<Warp> warps, EdgeFill fill, Sampler sampler) {
        List<Warp> few = merged(warps);
        if (size.equals(in.size())) {
            Optional<Rows> translated = translated(Rows.of(in), few, fill, sampler);
            if (translated.isPresent()) {
                return translated.get();
            }
        }
        if (size.equals(in.size()) && RowShiftedPlane.fits(few)) {
            return new RowShiftedPlane(in, few, fill, sampler);
        }
        if (few.size() == 1 && AxisAlignedResample.fits(few.getFirst(), sampler)) {
            return new AxisAlignedResample(in, size, (Affine) few.getFirst(), fill, sampler);
        }
        return new WarpedPlane(
                in, size, few.isEmpty() ? Affine.NONE : new WarpChain(few), fill, sampler);
    }

    /**
     * Rows under a chain of warps that amounts to a translation or the identity, which needs no full plane;
     * empty for other chains.
     */
    public static Optional<Rows> translated(
            Rows in, List<Warp> warps, EdgeFill fill, Sampler sampler) {
        List<Warp> few = merged(warps);
        if (few.isEmpty()) {
            return Optional.of(in);
        }
        return few.size() == 1 && few.getFirst() instanceof Affine a && a.isTranslation()
                ? Optional.of(new Translation(in, -a.x0(), -a.y0(), fill, sampler))
                : Optional.empty();
    }

    /** Combines adjacent affine mappings and drops identities. */
    static List<Warp> merged(List<Warp> warps) {
        List<Warp> few = new ArrayList<>();
        for (Warp warp : warps) {
            if (warp instanceof Affine next
                    && !few.isEmpty()
                    && few.getLast() instanceof Affine last) {
                few.set(few.size() - 1, last.then(next));
            } else {
                few.add(warp);
            }
        }
        few.removeIf(Affine.NONE::equals);
        return few;
    }

    @Override
    public Size size() {
        return size;
    }

    @Override
    public Reader reader() {
        int n = size.width();
        double[] x = new double[n];
        double[] y = new double[n];
        ScatteredSamples samples = new ScatteredSamples(in, n, fill, sampler);
        ShiftedRuns runs = new ShiftedRuns(in, n, fill, sampler);
        return (row, out, o) -> {
            if (warp.places(row, samples.places(), n)) {
                samples.at(n, out, o);
                return;
            }
            warp.row(row, x, y, n);
            if (!runs.at(x, y, n, out, o)) {
                samples.at(x, y, n, out, o);
            }
        };
    }
}
