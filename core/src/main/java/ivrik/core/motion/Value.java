package ivrik.core.motion;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * A number over time: a rest value and keyframes in frame order, at most one per frame. Without keyframes the
 * value is the rest value. Before the first and after the last keyframe the value is constant.
 */
public record Value(double rest, List<Keyframe> keyframes) {
    public static final Value ZERO = of(0);

    public Value {
        if (!Double.isFinite(rest)) {
            throw new IllegalArgumentException("a value must be finite");
        }
        keyframes = keyframes.stream().sorted(Comparator.comparingLong(Keyframe::frame)).toList();
        for (int i = 1; i < keyframes.size(); i++) {
            if (keyframes.get(i).frame() == keyframes.get(i - 1).frame()) {
                throw new IllegalArgumentException(
                        "two keyframes at frame " + keyframes.get(i).frame());
            }
        }
    }

    public static Value of(double rest) {
        return new Value(rest, List.of());
    }

    public boolean isMoving() {
        return !keyframes.isEmpty();
    }

    /** The value at a frame, which may be fractional. */
    public double at(Rational frame) {
        if (keyframes.isEmpty()) {
            return rest;
        }
        double f = frame.toDouble();
        int number = lastNotAfter(f);
        if (number < 0) {
            return keyframes.getFirst().value();
        }
        Keyframe before = keyframes.get(number);
        if (number == keyframes.size() - 1) {
            return before.value();
        }
        Keyframe after = keyframes.get(number + 1);
        double t = (f - before.frame()) / (after.frame() - before.frame());
        return before.value() + before.ease().progress(t) * (after.value() - before.value());
    }

    /** Index of the last keyframe at or before a frame; -1 if there is none. */
    private int lastNotAfter(double frame) {
        int low = 0;
        int high = keyframes.size();
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (keyframes.get(middle).frame() <= frame) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return low - 1;
    }

    public double at(Instant instant) {
        return at(instant.frame());
    }

    public double at(long frame) {
        return at(Rational.of(frame));
    }

    public Optional<Keyframe> keyframeAt(long frame) {
        return keyframes.stream().filter(p -> p.frame() == frame).findFirst();
    }

    /** This value with a keyframe added, or replaced at the same frame. */
    public Value with(Keyframe keyframe) {
        return new Value(
                rest, Stream.concat(others(keyframe.frame()), Stream.of(keyframe)).toList());
    }

    public Value without(long frame) {
        return new Value(rest, others(frame).toList());
    }

    /**
     * This value set to {@code v} at {@code frame}: adds a keyframe if there are any, otherwise changes the
     * rest value.
     */
    public Value set(long frame, double v) {
        if (!isMoving()) {
            return of(v);
        }
        return with(
                new Keyframe(
                        frame,
                        v,
                        keyframeAt(frame).map(Keyframe::ease).orElseGet(() -> easeInto(frame))));
    }

    private Ease easeInto(long frame) {
        Ease ease = keyframes.getFirst().ease();
        for (Keyframe keyframe : keyframes) {
            if (keyframe.frame() < frame) {
                ease = keyframe.ease();
            }
        }
        return ease;
    }

    private Stream<Keyframe> others(long frame) {
        Predicate<Keyframe> there = p -> p.frame() == frame;
        return keyframes.stream().filter(there.negate());
    }

    /** This value with its rest and all keyframes mapped. */
    public Value map(DoubleUnaryOperator change) {
        return new Value(
                change.applyAsDouble(rest),
                keyframes.stream()
                        .map(
                                p ->
                                        new Keyframe(
                                                p.frame(),
                                                change.applyAsDouble(p.value()),
                                                p.ease()))
                        .toList());
    }

    /**
     * The sum of two values. If both have keyframes, the sum has the keyframes of both and is exact at each;
     * between two keyframes the easing is that of the earlier one.
     */
    public Value plus(Value other) {
        if (!other.isMoving()) {
            return map(v -> v + other.rest);
        }
        if (!isMoving()) {
            return other.map(v -> v + rest);
        }
        Value sum = of(rest + other.rest);
        for (Keyframe keyframe :
                Stream.concat(other.keyframes.stream(), keyframes.stream()).toList()) {
            long frame = keyframe.frame();
            sum = sum.with(new Keyframe(frame, at(frame) + other.at(frame), keyframe.ease()));
        }
        return sum;
    }
}
