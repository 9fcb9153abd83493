package ivrik.core.rejoin;

import ivrik.core.UnknownNameException;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How lanes become a picture: exactly, by undoing the separation, or as plates laid upon each other by
 * a blend mode. With untouched inks and RGB each channel has one contributor, so that exact, add,
 * screen and lighten agree.
 *
 * @param blend of all plates that have none of their own; empty for exact
 */
public record Rejoin(Optional<Blend> blend) {
    public static final Rejoin EXACT = new Rejoin(Optional.empty());
    private static final String EXACT_ID = "exact";

    public static Rejoin by(Blend blend) {
        return new Rejoin(Optional.of(blend));
    }

    /** Exact, and each blend mode but normal, in which the last plate would cover all others. */
    public static List<Rejoin> all() {
        List<Rejoin> all = new ArrayList<>(List.of(EXACT));
        for (Blend each : Blend.values()) {
            if (each != Blend.NORMAL) {
                all.add(by(each));
            }
        }
        return all;
    }

    public boolean isExact() {
        return blend.isEmpty();
    }

    /** The name in files. */
    public String id() {
        return blend.map(Blend::id).orElse(EXACT_ID);
    }

    /** The name in the window. */
    public String title() {
        return blend.map(Blend::title).orElse("Exact");
    }

    /**
     * The way of this name.
     *
     * @throws UnknownNameException if there is none; it lists those there are
     */
    public static Rejoin named(String id) {
        return UnknownNameException.find("rejoin", id, all(), Rejoin::id);
    }
}
