package ivrik.core.motion;

import java.util.Map;

/**
 * Points in time that animations can be anchored to, in frames of the sequence.
 *
 * @param first first frame of the visible clip
 * @param last last frame of the visible clip
 * @param cuts first frame of each clip that follows a cut, by clip id
 * @param markers frames of markers, by marker id
 */
public record TimelineContext(
        long first, long last, Map<String, Long> cuts, Map<String, Long> markers) {
    /** No clips, cuts or markers. */
    public static final TimelineContext NOTHING = new TimelineContext(0, 0, Map.of(), Map.of());

    public TimelineContext {
        cuts = Map.copyOf(cuts);
        markers = Map.copyOf(markers);
    }
}
