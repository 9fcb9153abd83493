package ivrik.core.treatment;

import ivrik.core.filter.Warp;
import ivrik.core.picture.Size;
import ivrik.core.separation.Rgb;
import ivrik.core.threads.Workers;

import java.util.List;
import java.util.Optional;

/** Finds the part that a warp leaves covered by evaluating the warp along a rectangle. */
public final class ValidRegionFinder {
    private static final int SIDE = 48;
    private static final int HALVINGS = 30;
    private static final double SLACK = 1e-6;

    private ValidRegionFinder() {}

    /** A mapping with its settings. */
    public record Moved(Move move, Settings settings) {}

    /**
     * The part that composed mappings leave covered; mappings that keep the edge are ignored. If any mapping
     * changes every frame, each is evaluated on its own.
     */
    public static ValidRegion of(ValidRegion before, List<Moved> all, Size size) {
        List<Moved> moves = all.stream().filter(m -> !m.move.keepsEdge(m.settings)).toList();
        if (moves.isEmpty()) {
            return before;
        }
        if (moves.size() == 1
                || moves.stream().anyMatch(m -> m.move.description().is(Trait.LIVE))) {
            ValidRegion left = before;
            for (Moved m : moves) {
                left = m.move.covered(left, m.settings, size);
            }
            return left;
        }
        List<Warp> warps = moves.stream().map(m -> m.move.outline(m.settings, size)).toList();
        int supportRadius = moves.stream().mapToInt(m -> supportRadius(m.settings)).max().orElse(0);
        return of(
                before,
                (x, y, n) -> warps.reversed().forEach(w -> w.back(x, y, n)),
                supportRadius,
                size);
    }

    /** Full size, without another picture. */
    static final Context WHOLE =
            new Context(1, new Rgb().channels().getFirst(), Optional.empty(), Workers.shared());

    static int supportRadius(Settings settings) {
        return -settings.sampler().firstTap();
    }

    /**
     * The largest rectangle of whole pixels, centred and in the picture's shape, whose border pixels come
     * from the covered region.
     *
     * @param supportRadius pixels beyond the nearest neighbours that the filter uses
     */
    static ValidRegion of(ValidRegion before, Warp warp, int supportRadius, Size size) {
        Border border = new Border(size);
        double low = 0;
        double high = 1;
        if (border.comesFrom(before, warp, supportRadius, 1)) {
            low = 1;
        }
        for (int i = 0; i < HALVINGS && low < 1 && !of(low, size).equals(of(high, size)); i++) {
            double middle = (low + high) / 2;
            if (border.comesFrom(before, warp, supportRadius, middle)) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return of(low, size);
    }

    /** A centred share of the picture, in whole pixels. */
    private static ValidRegion of(double share, Size size) {
        double x = Math.ceil(size.width() * (1 - share) / 2 - SLACK);
        double y = Math.ceil(size.height() * (1 - share) / 2 - SLACK);
        return new ValidRegion(x, y, size.width() - x, size.height() - y);
    }

    /** Positions along the border of a share of the picture; the arrays are reused. */
    private record Border(Size size, double[] x, double[] y) {
        Border(Size size) {
            this(size, new double[4 * (SIDE + 1)], new double[4 * (SIDE + 1)]);
        }

        boolean comesFrom(ValidRegion before, Warp warp, int supportRadius, double share) {
            place(share);
            warp.back(x, y, x.length);
            double inset = 0.5 + supportRadius - SLACK;
            for (int i = 0; i < x.length; i++) {
                boolean in =
                        x[i] >= before.left() + inset
                                && x[i] <= before.right() - inset
                                && y[i] >= before.top() + inset
                                && y[i] <= before.bottom() - inset;
                if (!in) {
                    return false;
                }
            }
            return true;
        }

        private void place(double share) {
            double w = Math.max(0, size.width() * share - 1);
            double h = Math.max(0, size.height() * share - 1);
            double left = (size.width() - w) / 2;
            double top = (size.height() - h) / 2;
            for (int i = 0; i <= SIDE; i++) {
                double t = (double) i / SIDE;
                put(4 * i, left + t * w, top);
                put(4 * i + 1, left + t * w, top + h);
                put(4 * i + 2, left, top + t * h);
                put(4 * i + 3, left + w, top + t * h);
            }
        }

        private void put(int i, double px, double py) {
            x[i] = px;
            y[i] = py;
        }
    }
}
