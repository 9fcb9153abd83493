package ivrik.core.motion;

import java.util.Map;

/**
 * What lies about an instant in time, in frames of the sequence: what movement can be anchored to.
 *
 * @param first the first frame of the clip that is shown
 * @param last its last frame
 * @param cuts the frames at which one clip takes over from another, by the id of the one that does
 * @param markers the frames that are marked, by the ids of their markers
 */
public record Around(long first, long last, Map<String, Long> cuts, Map<String, Long> markers) {
    /** Nothing is known of what lies about. */
    public static final Around NOTHING = new Around(0, 0, Map.of(), Map.of());

    public Around {
        cuts = Map.copyOf(cuts);
        markers = Map.copyOf(markers);
    }
}
