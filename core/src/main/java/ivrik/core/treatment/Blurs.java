package ivrik.core.treatment;

import ivrik.core.filter.Affine;
import ivrik.core.filter.CopyAverage;
import ivrik.core.filter.CopyAverage.Copy;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;
import ivrik.core.sampling.EdgeFill;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleFunction;

/** Shared parts of blurs. */
final class Blurs {
    private static final int MAX_COPIES = 160;

    /** Share of the radius along rows. */
    static final Parameter ACROSS =
            Parameter.percent("across", "horizontal", 0, 100, 100).setting();

    /** Share of the radius along columns. */
    static final Parameter DOWN = Parameter.percent("down", "vertical", 0, 100, 100).setting();

    private Blurs() {}

    /** Whether a blur with a radius and two directions has no effect. */
    static boolean isNeutral(Settings settings) {
        return settings.amount() == 0
                || settings.number("radius") == 0
                || settings.number(ACROSS.name()) == 0 && settings.number(DOWN.name()) == 0;
    }

    /** Number of copies for a smooth blur of a length: one per pixel. */
    static int copies(double lengthPx) {
        return Math.clamp((long) Math.ceil(lengthPx) + 1, 2, Integer.MAX_VALUE / 2);
    }

    /**
     * Weighted mean of copies along a path. If there are very many, groups of neighbours are averaged first,
     * and then the groups, so that any length costs at most twice the largest direct mean.
     *
     * @param weights of the copies, from one end of the path to the other
     * @param at transform of a copy, by its position from -0.5 to 0.5
     */
    static Rows along(
            Plane channel,
            double[] weights,
            DoubleFunction<Affine> at,
            Settings settings,
            Context context) {
        int n = weights.length;
        int together = (n + MAX_COPIES - 1) / MAX_COPIES;
        Plane neighbours = channel;
        if (together > 1) {
            List<Copy> few = new ArrayList<>();
            for (int k = 0; k < together; k++) {
                double place = ((k + 0.5) / together - 0.5) * together / n;
                few.add(new Copy(at.apply(place), 1.0 / together));
            }
            neighbours =
                    new CopyAverage(channel, few, settings.edgeFill()).toPlane(context.workers());
        }
        List<Copy> copies = new ArrayList<>();
        for (int from = 0; from < n; from += together) {
            int to = Math.min(n, from + together);
            double weight = 0;
            for (int k = from; k < to; k++) {
                weight += weights[k];
            }
            if (weight != 0) {
                copies.add(new Copy(at.apply((from + to) / 2.0 / n - 0.5), weight));
            }
        }
        return new CopyAverage(neighbours, copies, settings.edgeFill());
    }

    /** Equal weights. */
    static double[] even(int copies) {
        double[] weights = new double[copies];
        java.util.Arrays.fill(weights, 1.0 / copies);
        return weights;
    }

    /**
     * The covered part after a blur. Where the picture continues outside, a blur shows no edge; with a
     * transparent edge fill it darkens within its reach.
     */
    static ValidRegion covered(ValidRegion before, Settings settings, double reachPx, Size size) {
        double inset =
                settings.edgeFill() == EdgeFill.EMPTY || !before.equals(ValidRegion.all(size))
                        ? Math.ceil(reachPx)
                        : 0;
        return before.inset(inset, size);
    }
}
