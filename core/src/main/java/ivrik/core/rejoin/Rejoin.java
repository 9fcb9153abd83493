package ivrik.core.rejoin;

import ivrik.core.UnknownNameException;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How channels are rejoined: exactly, by inverting the separation, or as ink layers combined by a blend mode.
 * For unchanged RGB each colour component comes from one channel, so exact, add, screen and lighten agree.
 *
 * @param blend blend mode of channels without their own; empty for exact
 */
public record Rejoin(Optional<Blend> blend) {
    public static final Rejoin EXACT = new Rejoin(Optional.empty());
    private static final String EXACT_ID = "exact";

    public static Rejoin by(Blend blend) {
        return new Rejoin(Optional.of(blend));
    }

    /**
     * Exact, and each blend mode except normal, in which the top channel would cover all others.
     */
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
     * The rejoin method of a name.
     *
     * @throws UnknownNameException if there is none; the message lists all
     */
    public static Rejoin named(String id) {
        return UnknownNameException.find("rejoin mode", id, all(), Rejoin::id);
    }
}
