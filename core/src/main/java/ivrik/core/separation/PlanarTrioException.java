package ivrik.core.separation;

import ivrik.core.IvrikException;

import java.util.List;
import java.util.Locale;

/** Three colours that lie, or nearly, in one plane: not every colour can be made of them. */
public final class PlanarTrioException extends IvrikException {
    private final transient List<Ink> nearest;

    PlanarTrioException(List<Ink> inks, double condition, List<Ink> nearest) {
        super(
                "the colours "
                        + names(inks)
                        + " lie "
                        + (Double.isInfinite(condition) ? "" : "nearly ")
                        + "in one plane, so that most colours cannot be made of them (condition"
                        + " number "
                        + (Double.isInfinite(condition)
                                ? "infinite"
                                : String.format(Locale.ROOT, "%.0f", condition))
                        + ", at most "
                        + Math.round(Trio.WORST_CONDITION)
                        + ")",
                "the nearest that work are " + names(nearest),
                null);
        this.nearest = List.copyOf(nearest);
    }

    private static String names(List<Ink> inks) {
        return String.join(",", inks.stream().map(Ink::hex).toList());
    }

    /** Three colours near those asked for that do work. */
    public List<Ink> nearest() {
        return nearest;
    }
}
