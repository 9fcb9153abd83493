package ivrik.core.motion;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.LongUnaryOperator;
import java.util.stream.Collectors;

/** Edits of several keyframes of a value at once. Keyframes are selected by their frames. */
public final class KeyframeEdits {
    private KeyframeEdits() {}

    private static List<Keyframe> selected(Value value, Set<Long> frames) {
        return value.keyframes().stream().filter(p -> frames.contains(p.frame())).toList();
    }

    private static List<Keyframe> others(Value value, Set<Long> frames) {
        return value.keyframes().stream().filter(p -> !frames.contains(p.frame())).toList();
    }

    /**
     * The value with the selected keyframes replaced; empty if two keyframes would share a frame.
     */
    private static Optional<Value> with(Value value, Set<Long> frames, List<Keyframe> instead) {
        List<Keyframe> all = new ArrayList<>(others(value, frames));
        all.addAll(instead);
        long places = all.stream().map(Keyframe::frame).distinct().count();
        return places < all.size() ? Optional.empty() : Optional.of(new Value(value.rest(), all));
    }

    /** Moves keyframes in time and value; empty if two would share a frame. */
    public static Optional<Value> moved(Value value, Set<Long> frames, long later, double up) {
        return with(
                value,
                frames,
                selected(value, frames).stream()
                        .map(p -> p.with(b -> b.frame(p.frame() + later).value(p.value() + up)))
                        .toList());
    }

    /**
     * Scales keyframes in time about a frame, each rounded to a whole frame; empty if two would share a
     * frame.
     */
    public static Optional<Value> stretched(
            Value value, Set<Long> frames, double times, long about) {
        LongUnaryOperator place = f -> about + Math.round((f - about) * times);
        return with(
                value,
                frames,
                selected(value, frames).stream()
                        .map(p -> p.withFrame(place.applyAsLong(p.frame())))
                        .toList());
    }

    /** Scales the distance of keyframes from a value. */
    public static Value scaled(Value value, Set<Long> frames, double times, double about) {
        return new Value(
                value.rest(),
                value.keyframes().stream()
                        .map(
                                p ->
                                        frames.contains(p.frame())
                                                ? p.withValue(about + times * (p.value() - about))
                                                : p)
                        .toList());
    }

    /** Reverses the selected keyframes in time. */
    public static Optional<Value> reversed(Value value, Set<Long> frames) {
        List<Keyframe> keyframes = selected(value, frames);
        if (keyframes.size() < 2) {
            return Optional.of(value);
        }
        long first = keyframes.getFirst().frame();
        long last = keyframes.getLast().frame();
        List<Keyframe> turned = new ArrayList<>();
        for (int i = keyframes.size() - 1; i >= 0; i--) {
            Ease leaving =
                    i > 0 ? backwards(keyframes.get(i - 1).ease()) : keyframes.getLast().ease();
            Keyframe keyframe = keyframes.get(i);
            turned.add(new Keyframe(first + last - keyframe.frame(), keyframe.value(), leaving));
        }
        return with(value, frames, turned);
    }

    private static Ease backwards(Ease ease) {
        return switch (ease) {
            case Ease.Hold h -> h;
            case Ease.Linear l -> l;
            case Ease.Eased e -> new Ease.Eased(1 - e.x2(), 1 - e.y2(), 1 - e.x1(), 1 - e.y1());
        };
    }

    /** Deletes keyframes; if none is left, the value stays at the first deleted one. */
    public static Value without(Value value, Set<Long> frames) {
        List<Keyframe> left = others(value, frames);
        List<Keyframe> gone = selected(value, frames);
        return left.isEmpty() && !gone.isEmpty()
                ? Value.of(gone.getFirst().value())
                : new Value(value.rest(), left);
    }

    public static Value eased(Value value, Set<Long> frames, Ease ease) {
        return new Value(
                value.rest(),
                value.keyframes().stream()
                        .map(p -> frames.contains(p.frame()) ? p.withEase(ease) : p)
                        .toList());
    }

    /** The selected keyframes, with frames counted from {@code first}. */
    public static List<Keyframe> copied(Value value, Set<Long> frames, long first) {
        return selected(value, frames).stream().map(p -> p.withFrame(p.frame() - first)).toList();
    }

    /** Inserts copied keyframes at a frame; existing keyframes at the same frames are replaced. */
    public static Value pasted(Value value, List<Keyframe> copied, long at) {
        List<Keyframe> there = copied.stream().map(p -> p.withFrame(p.frame() + at)).toList();
        Set<Long> frames = there.stream().map(Keyframe::frame).collect(Collectors.toSet());
        List<Keyframe> all = new ArrayList<>(others(value, frames));
        all.addAll(there);
        return new Value(value.rest(), all);
    }

    /** Adds keyframes at rest at two frames, so that only the part between them is animated. */
    public static Value enclosed(Value value, double rest, long first, long last) {
        return value.with(new Keyframe(first, rest, Ease.LINEAR))
                .with(new Keyframe(last, rest, Ease.HOLD));
    }
}
