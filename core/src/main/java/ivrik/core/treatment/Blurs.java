package ivrik.core.treatment;

import ivrik.core.picture.EdgeFill;
import ivrik.core.picture.Size;

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

    /** How many copies make a blur smooth whose longest way is so many pixels. */
    static int copies(double lengthPx) {
        return Math.clamp((long) Math.ceil(lengthPx) + 1, 2, MOST_COPIES);
    }

    /**
     * What a blur leaves covered. Where the picture goes on outside, a blur that looks there shows no
     * edge; where there is nothing, it darkens as far as it reaches.
     */
    static Covered covered(Covered before, Settings settings, double reachPx, Size size) {
        double inset =
                settings.edgeFill() == EdgeFill.EMPTY || !before.equals(Covered.all(size))
                        ? Math.ceil(reachPx)
                        : 0;
        return before.inset(inset, size);
    }
}
