package ivrik.core.separation;

import ivrik.core.IvrikException;

import java.util.List;
import java.util.Locale;

/** Three primaries that are nearly coplanar with black: not every colour can be represented. */
public final class PlanarPrimariesException extends IvrikException {
    private final transient List<Ink> nearest;

    PlanarPrimariesException(List<Ink> inks, double condition, List<Ink> nearest) {
        super(
                "the primaries "
                        + names(inks)
                        + " are "
                        + (Double.isInfinite(condition) ? "" : "nearly ")
                        + "linearly dependent, so most colours cannot be mixed from them (condition"
                        + " number "
                        + (Double.isInfinite(condition)
                                ? "infinite"
                                : String.format(Locale.ROOT, "%.0f", condition))
                        + ", limit "
                        + Math.round(CustomPrimaries.WORST_CONDITION)
                        + ")",
                "nearest valid primaries: " + names(nearest),
                null);
        this.nearest = List.copyOf(nearest);
    }

    private static String names(List<Ink> inks) {
        return String.join(",", inks.stream().map(Ink::hex).toList());
    }

    /** Nearby primaries that are accepted. */
    public List<Ink> nearest() {
        return nearest;
    }
}
