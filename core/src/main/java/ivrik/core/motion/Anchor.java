package ivrik.core.motion;

import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;

/** The point in time that a burst is relative to. The burst follows its anchor when that moves. */
public sealed interface Anchor {
    /** The times of the anchor; empty if the cut or marker does not exist. */
    List<AnchorTime> anchorTimes(TimelineContext timelineContext);

    /** A fixed frame. */
    record AtFrame(long frame) implements Anchor {
        @Override
        public List<AnchorTime> anchorTimes(TimelineContext timelineContext) {
            return List.of(new AnchorTime(frame, false));
        }
    }

    /**
     * A cut.
     *
     * @param clip id of the clip that starts at the cut
     */
    record AtCut(String clip) implements Anchor {
        @Override
        public List<AnchorTime> anchorTimes(TimelineContext timelineContext) {
            return Stream.ofNullable(timelineContext.cuts().get(clip))
                    .map(f -> new AnchorTime(f, true))
                    .toList();
        }
    }

    /** Each of several markers, by id. */
    record AtMarkers(List<String> markers) implements Anchor {
        public AtMarkers {
            markers = List.copyOf(markers);
        }

        @Override
        public List<AnchorTime> anchorTimes(TimelineContext timelineContext) {
            return markers.stream()
                    .map(timelineContext.markers()::get)
                    .filter(Objects::nonNull)
                    .map(f -> new AnchorTime(f, false))
                    .toList();
        }
    }
}
