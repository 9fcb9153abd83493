package ivrik.core.motion;

import java.util.Collections;
import java.util.NavigableSet;
import java.util.TreeSet;

/**
 * What lies about an instant in time, in frames of the sequence: what movement can be anchored to.
 *
 * @param first the first frame of the clip that is shown
 * @param last its last frame
 * @param cuts the frames at which one clip takes over from another
 * @param markers the frames that are marked
 */
public record Around(long first, long last, NavigableSet<Long> cuts, NavigableSet<Long> markers) {
    /** Nothing is known of what lies about. */
    public static final Around NOTHING = new Around(0, 0, new TreeSet<>(), new TreeSet<>());

    public Around {
        cuts = Collections.unmodifiableNavigableSet(cuts);
        markers = Collections.unmodifiableNavigableSet(markers);
    }
}
