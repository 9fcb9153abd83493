package ivrik.core.separation;

import ivrik.core.picture.Plane;
import ivrik.core.picture.Workers;

import java.util.List;

/** A colour model: how colour becomes lanes, and lanes colour again. */
public interface Separation {
    /** The name in files and on the command line, such as {@code rgb}. */
    String id();

    /** The name in the window. */
    String title();

    /** The lanes in their order. */
    List<LaneKind> lanes();

    /** Whether the lanes are the three colour channels themselves. */
    default boolean isChannels() {
        return false;
    }

    /** The lanes of these three colour planes (red, green, blue as delivered). */
    List<Plane> separate(List<Plane> colour, Workers workers);

    /** The three colour planes of these lanes; undoes {@link #separate}. */
    List<Plane> rejoin(List<Plane> lanes, Workers workers);
}
