package ivrik.core.look;

import ivrik.core.motion.Anchor;
import ivrik.core.motion.Peg;
import ivrik.core.motion.Repeat;
import ivrik.core.motion.Value;

import java.util.TreeMap;

/** Looks and values at another frame rate: what lay at a time in seconds lies at the frame nearest to it. */
public final class Retimed {
    private Retimed() {}

    /** The nearest frame when there are so many times as many. */
    public static long frame(long frame, double times) {
        return Math.round(frame * times);
    }

    /** Its pegs at the frames nearest to where they were; of two that would stand on one, the later stays. */
    public static Value value(Value value, double times) {
        TreeMap<Long, Peg> pegs = new TreeMap<>();
        for (Peg peg : value.pegs()) {
            long to = frame(peg.frame(), times);
            pegs.put(to, peg.withFrame(to));
        }
        return new Value(value.rest(), pegs.values().stream().toList());
    }

    /** All of a look: pegs, bursts, and what is counted in frames. */
    public static Look look(Look look, double times) {
        Look moved = look;
        for (Target target : Targets.keyed(look)) {
            Value value = Targets.value(moved, target).orElse(Value.ZERO);
            if (value.isMoving()) {
                moved = Targets.with(moved, target, value(value, times));
            }
        }
        for (int lane = 0; lane < look.lanes().size(); lane++) {
            moved = moved.withLane(lane, s -> s.withFeed(feed(s.feed(), times)));
        }
        return moved.withBursts(moved.bursts().stream().map(b -> burst(b, times)).toList())
                .withDials(moved.dials().stream().map(d -> dial(d, times)).toList());
    }

    private static Feed feed(Feed feed, double times) {
        Feed moved = feed;
        for (FeedParts.Part part : FeedParts.TIMES) {
            Value value = part.value().apply(feed);
            moved = part.with().apply(moved, value.map(v -> part.range().clamp(v * times)));
        }
        return moved;
    }

    private static Burst burst(Burst burst, double times) {
        Anchor anchor =
                burst.anchor() instanceof Anchor.AtFrame at
                        ? new Anchor.AtFrame(frame(at.frame(), times))
                        : burst.anchor();
        Repeat repeat = burst.repeat();
        double every =
                repeat.beats() ? repeat.every() : Math.min(Repeat.MOST, repeat.every() * times);
        return burst.withAnchor(anchor)
                .withCourse(
                        burst.course()
                                .timed(
                                        burst.course().before() * times,
                                        burst.course().after() * times,
                                        burst.course().phases()))
                .withRepeat(
                        new Repeat(
                                every, repeat.beats(), (int) frame(repeat.offsetFrames(), times)));
    }

    private static Dial dial(Dial dial, double times) {
        if (!dial.unit().startsWith("frame")) {
            return dial;
        }
        return dial.with(
                d ->
                        d.min(dial.min() * times)
                                .max(dial.max() * times)
                                .rest(dial.rest() * times)
                                .value(dial.value().map(v -> v * times)));
    }
}
