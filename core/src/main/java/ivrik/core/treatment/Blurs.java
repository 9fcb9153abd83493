package ivrik.core.treatment;

import ivrik.core.picture.EdgeFill;
import ivrik.core.picture.Size;

/** What blurs have in common. */
final class Blurs {
    private static final int MOST_COPIES = 160;

    private Blurs() {}

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
