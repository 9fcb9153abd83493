package ivrik.core.rejoin;

import ivrik.core.picture.Kernels;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Workers;
import ivrik.core.separation.Ink;
import ivrik.core.separation.Separation;

import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;

/**
 * How lanes become a picture: exactly, by undoing the separation, or by blending the lanes painted
 * in their inks. With untouched inks each channel has one contributor and all ways agree.
 */
public enum Rejoin {
    EXACT {
        @Override
        public List<Plane> join(Separation separation, List<Plane> lanes, Workers workers) {
            return separation.rejoin(lanes, workers);
        }
    },
    ADD {
        @Override
        public List<Plane> join(Separation separation, List<Plane> lanes, Workers workers) {
            return painted(separation, lanes, Blend.ADD, workers);
        }
    },
    SCREEN {
        @Override
        public List<Plane> join(Separation separation, List<Plane> lanes, Workers workers) {
            return painted(separation, lanes, Blend.SCREEN, workers);
        }
    },
    LIGHTEN {
        @Override
        public List<Plane> join(Separation separation, List<Plane> lanes, Workers workers) {
            return painted(separation, lanes, Blend.LIGHTEN, workers);
        }
    };

    public String id() {
        return name().toLowerCase(Locale.ROOT);
    }

    public String title() {
        return name().charAt(0) + id().substring(1);
    }

    /** The three colour planes of these lanes. */
    public abstract List<Plane> join(Separation separation, List<Plane> lanes, Workers workers);

    private static List<Plane> painted(
            Separation separation, List<Plane> lanes, Blend blend, Workers workers) {
        return IntStream.range(0, 3)
                .mapToObj(
                        channel ->
                                IntStream.range(0, lanes.size())
                                        .mapToObj(
                                                i ->
                                                        paint(
                                                                lanes.get(i),
                                                                separation.lanes().get(i).ink(),
                                                                channel,
                                                                workers))
                                        .filter(p -> p != null)
                                        .reduce((a, b) -> blend.channel(a, b, workers))
                                        .orElseGet(
                                                () ->
                                                        Plane.of(
                                                                lanes.getFirst().width(),
                                                                lanes.getFirst().height())))
                .toList();
    }

    /** What an ink paints of a channel; null where it paints nothing of it. */
    private static Plane paint(Plane lane, Ink ink, int channel, Workers workers) {
        float part = ink.part(channel);
        return part == 0 ? null : part == 1 ? lane : Kernels.scale(lane, part, workers);
    }
}
