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
 * A plane under a chain of warps, sampled once. A chain that comes to a plain translation, to a mapping
 * that leaves rows what they are, or to nothing, is done as that.
 */
public final class Moved implements Rows {
    private final Plane in;
    private final Size size;
    private final Warp warp;
    private final EdgeFill fill;
    private final Sampler sampler;

    private Moved(Plane in, Size size, Warp warp, EdgeFill fill, Sampler sampler) {
        this.in = in;
        this.size = size;
        this.warp = warp;
        this.fill = fill;
        this.sampler = sampler;
    }

    /** A plane of the same size, moved by each warp in turn. */
    public static Rows of(Plane in, List<Warp> warps, EdgeFill fill, Sampler sampler) {
        return of(in, in.size(), warps, fill, sampler);
    }

    /**
     * A plane moved by each warp in turn.
     *
     * @param size of what comes out; both begin at the same corner
     */
    public static Rows of(Plane in, Size size, List<Warp> warps, EdgeFill fill, Sampler sampler) {
        List<Warp> few = merged(warps);
        if (size.equals(in.size())) {
            Optional<Rows> translated = translated(Rows.of(in), few, fill, sampler);
            if (translated.isPresent()) {
                return translated.get();
            }
        }
        if (size.equals(in.size()) && RowShifted.fits(few)) {
            return new RowShifted(in, few, fill, sampler);
        }
        if (few.size() == 1 && Upright.fits(few.getFirst(), sampler)) {
            return new Upright(in, size, (Affine) few.getFirst(), fill, sampler);
        }
        return new Moved(in, size, few.isEmpty() ? Affine.NONE : new Chain(few), fill, sampler);
    }

    /**
     * Rows moved by each warp in turn where that comes to a translation or to nothing, for which no plane is needed;
     * empty where it does not.
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

    /** With neighbouring affine mappings made one, and without those that do nothing. */
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
