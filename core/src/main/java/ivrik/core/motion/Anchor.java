package ivrik.core.motion;

import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;

/** What a burst stands on: where that goes, the burst goes. */
public sealed interface Anchor {
    /** Where it lies; none where what it names is not there. */
    List<Axis> axes(Around around);

    /** A frame of its own. */
    record AtFrame(long frame) implements Anchor {
        @Override
        public List<Axis> axes(Around around) {
            return List.of(new Axis(frame, false));
        }
    }

    /**
     * A cut.
     *
     * @param clip the id of the clip that takes over there
     */
    record AtCut(String clip) implements Anchor {
        @Override
        public List<Axis> axes(Around around) {
            return Stream.ofNullable(around.cuts().get(clip)).map(f -> new Axis(f, true)).toList();
        }
    }

    /** Each of some markers, by their ids. */
    record AtMarkers(List<String> markers) implements Anchor {
        public AtMarkers {
            markers = List.copyOf(markers);
        }

        @Override
        public List<Axis> axes(Around around) {
            return markers.stream()
                    .map(around.markers()::get)
                    .filter(Objects::nonNull)
                    .map(f -> new Axis(f, false))
                    .toList();
        }
    }
}
