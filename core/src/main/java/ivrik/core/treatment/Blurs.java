package ivrik.core.treatment;

import ivrik.core.filter.Affine;
import ivrik.core.filter.Copies;
import ivrik.core.filter.Copies.Copy;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;
import ivrik.core.sampling.EdgeFill;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleFunction;

/** What blurs have in common. */
final class Blurs {
    private static final int MOST_COPIES = 160;

    /** How much of a radius holds along rows. */
    static final Parameter ACROSS = Parameter.percent("across", "across", 0, 100, 100).setting();

    /** How much of a radius holds down columns. */
    static final Parameter DOWN = Parameter.percent("down", "down", 0, 100, 100).setting();

    private Blurs() {}

    /** Whether a blur with a radius and two directions does nothing. */
    static boolean isNeutral(Settings settings) {
        return settings.amount() == 0
                || settings.number("radius") == 0
                || settings.number(ACROSS.name()) == 0 && settings.number(DOWN.name()) == 0;
    }

    /** How many copies make a blur smooth whose longest way is so many pixels: one for each. */
    static int copies(double lengthPx) {
        return Math.clamp((long) Math.ceil(lengthPx) + 1, 2, Integer.MAX_VALUE / 2);
    }

    /**
     * A weighted mean of copies that lie side by side along a way. Where there are very many, a few
     * neighbours are put together first, and then these: a smooth way of any length costs no more than
     * twice the most that is done one by one.
     *
     * @param weights of the copies, from one end of the way to the other
     * @param at where a copy lies, by its place on the way from -0.5 to 0.5
     */
    static Rows along(
            Plane lane,
            double[] weights,
            DoubleFunction<Affine> at,
            Settings settings,
            Context context) {
        int n = weights.length;
        int together = (n + MOST_COPIES - 1) / MOST_COPIES;
        Plane neighbours = lane;
        if (together > 1) {
            List<Copy> few = new ArrayList<>();
            for (int k = 0; k < together; k++) {
                double place = ((k + 0.5) / together - 0.5) * together / n;
                few.add(new Copy(at.apply(place), 1.0 / together));
            }
            neighbours = new Copies(lane, few, settings.edgeFill()).toPlane(context.workers());
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
        return new Copies(neighbours, copies, settings.edgeFill());
    }

    /** The weights of an even blur. */
    static double[] even(int copies) {
        double[] weights = new double[copies];
        java.util.Arrays.fill(weights, 1.0 / copies);
        return weights;
    }

    /**
     * What a blur leaves covered. Where the picture goes on outside, a blur that looks there shows no
     * edge; where there is nothing, it darkens as far as it reaches.
     */
    static ValidRegion covered(ValidRegion before, Settings settings, double reachPx, Size size) {
        double inset =
                settings.edgeFill() == EdgeFill.EMPTY || !before.equals(ValidRegion.all(size))
                        ? Math.ceil(reachPx)
                        : 0;
        return before.inset(inset, size);
    }
}
