package ivrik.core.rejoin;

import ivrik.core.separation.Ink;
import ivrik.core.separation.LaneKind;

import java.util.Optional;

/**
 * One lane as it is printed into the picture.
 *
 * @param lane its number in the separation
 * @param shown whether it is printed at all
 * @param ink the colour it paints with
 * @param blend its own way of meeting those before it; empty for the way of all
 * @param strength 0..1, how much of it
 */
public record Plate(int lane, boolean shown, Ink ink, Optional<Blend> blend, double strength) {
    /** A lane as its model has it. */
    public static Plate plain(int lane, LaneKind kind) {
        return new Plate(lane, true, kind.ink(), Optional.empty(), 1);
    }
}
