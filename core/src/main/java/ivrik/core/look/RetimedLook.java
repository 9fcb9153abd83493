package ivrik.core.look;

import ivrik.core.motion.Anchor;
import ivrik.core.motion.Keyframe;
import ivrik.core.motion.Repeat;
import ivrik.core.motion.Value;

import java.util.TreeMap;

/** Converts looks and values to another frame rate: times in seconds go to the nearest frame. */
public final class RetimedLook {
    private RetimedLook() {}

    /** The nearest frame at a rate that is {@code times} as high. */
    public static long frame(long frame, double times) {
        return Math.round(frame * times);
    }

    /**
     * A value with its keyframes at the nearest frames; of two keyframes on one frame the later stays.
     */
    public static Value value(Value value, double times) {
        TreeMap<Long, Keyframe> keyframes = new TreeMap<>();
        for (Keyframe keyframe : value.keyframes()) {
            long to = frame(keyframe.frame(), times);
            keyframes.put(to, keyframe.withFrame(to));
        }
        return new Value(value.rest(), keyframes.values().stream().toList());
    }

    /** A look with its keyframes, bursts and frame counts converted. */
    public static Look look(Look look, double times) {
        Look moved = look;
        for (Target target : Targets.keyed(look)) {
            Value value = Targets.value(moved, target).orElse(Value.ZERO);
            if (value.isMoving()) {
                moved = Targets.with(moved, target, value(value, times));
            }
        }
        for (int channel = 0; channel < look.channels().size(); channel++) {
            moved =
                    moved.withChannel(
                            channel,
                            s -> s.withChannelSource(channelSource(s.channelSource(), times)));
        }
        return moved.withBursts(moved.bursts().stream().map(b -> burst(b, times)).toList())
                .withDials(moved.dials().stream().map(d -> dial(d, times)).toList());
    }

    private static ChannelSource channelSource(ChannelSource channelSource, double times) {
        ChannelSource moved = channelSource;
        for (ChannelSourceParameters.Part part : ChannelSourceParameters.TIMES) {
            Value value = part.value().apply(channelSource);
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
                repeat.beats() ? repeat.every() : Math.min(Repeat.MAX, repeat.every() * times);
        return burst.withAnchor(anchor)
                .withEnvelope(
                        burst.envelope()
                                .timed(
                                        burst.envelope().before() * times,
                                        burst.envelope().after() * times,
                                        burst.envelope().phases()))
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
