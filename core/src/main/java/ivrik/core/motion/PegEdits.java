package ivrik.core.motion;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.LongUnaryOperator;
import java.util.stream.Collectors;

/** What a person does to several pegs of a value as one edit. Pegs are meant by their frames. */
public final class PegEdits {
    private PegEdits() {}

    private static List<Peg> picked(Value value, Set<Long> frames) {
        return value.pegs().stream().filter(p -> frames.contains(p.frame())).toList();
    }

    private static List<Peg> others(Value value, Set<Long> frames) {
        return value.pegs().stream().filter(p -> !frames.contains(p.frame())).toList();
    }

    /** With these pegs in place of the picked; empty if two would stand on one frame, so that one was lost. */
    private static Optional<Value> with(Value value, Set<Long> frames, List<Peg> instead) {
        List<Peg> all = new ArrayList<>(others(value, frames));
        all.addAll(instead);
        long places = all.stream().map(Peg::frame).distinct().count();
        return places < all.size() ? Optional.empty() : Optional.of(new Value(value.rest(), all));
    }

    /** Moved in time and in value; empty if one would come to stand on another. */
    public static Optional<Value> moved(Value value, Set<Long> frames, long later, double up) {
        return with(
                value,
                frames,
                picked(value, frames).stream()
                        .map(p -> p.with(b -> b.frame(p.frame() + later).value(p.value() + up)))
                        .toList());
    }

    /**
     * Stretched in time about a frame, each to the nearest whole frame; empty if one would come to stand on
     * another.
     */
    public static Optional<Value> stretched(
            Value value, Set<Long> frames, double times, long about) {
        LongUnaryOperator place = f -> about + Math.round((f - about) * times);
        return with(
                value,
                frames,
                picked(value, frames).stream()
                        .map(p -> p.withFrame(place.applyAsLong(p.frame())))
                        .toList());
    }

    /** So many times as far from a value as they were. */
    public static Value scaled(Value value, Set<Long> frames, double times, double about) {
        return new Value(
                value.rest(),
                value.pegs().stream()
                        .map(
                                p ->
                                        frames.contains(p.frame())
                                                ? p.withValue(about + times * (p.value() - about))
                                                : p)
                        .toList());
    }

    /** The picked part played backwards, between its first and its last peg. */
    public static Optional<Value> reversed(Value value, Set<Long> frames) {
        List<Peg> pegs = picked(value, frames);
        if (pegs.size() < 2) {
            return Optional.of(value);
        }
        long first = pegs.getFirst().frame();
        long last = pegs.getLast().frame();
        List<Peg> turned = new ArrayList<>();
        for (int i = pegs.size() - 1; i >= 0; i--) {
            Ease leaving = i > 0 ? backwards(pegs.get(i - 1).ease()) : pegs.getLast().ease();
            Peg peg = pegs.get(i);
            turned.add(new Peg(first + last - peg.frame(), peg.value(), leaving));
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

    /** Without the picked; where none is left the value stays at that of the first of them. */
    public static Value without(Value value, Set<Long> frames) {
        List<Peg> left = others(value, frames);
        List<Peg> gone = picked(value, frames);
        return left.isEmpty() && !gone.isEmpty()
                ? Value.of(gone.getFirst().value())
                : new Value(value.rest(), left);
    }

    public static Value eased(Value value, Set<Long> frames, Ease ease) {
        return new Value(
                value.rest(),
                value.pegs().stream()
                        .map(p -> frames.contains(p.frame()) ? p.withEase(ease) : p)
                        .toList());
    }

    /** The picked pegs, counted from frame 0 where {@code first} is. */
    public static List<Peg> copied(Value value, Set<Long> frames, long first) {
        return picked(value, frames).stream().map(p -> p.withFrame(p.frame() - first)).toList();
    }

    /** With copied pegs from a frame on, in place of those that stand on the same frames. */
    public static Value pasted(Value value, List<Peg> copied, long at) {
        List<Peg> there = copied.stream().map(p -> p.withFrame(p.frame() + at)).toList();
        Set<Long> frames = there.stream().map(Peg::frame).collect(Collectors.toSet());
        List<Peg> all = new ArrayList<>(others(value, frames));
        all.addAll(there);
        return new Value(value.rest(), all);
    }

    /** With pegs at rest at two frames, so that only what comes between them moves. */
    public static Value enclosed(Value value, double rest, long first, long last) {
        return value.with(new Peg(first, rest, Ease.LINEAR)).with(new Peg(last, rest, Ease.HOLD));
    }
}
