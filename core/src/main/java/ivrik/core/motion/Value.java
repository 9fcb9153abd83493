package ivrik.core.motion;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * A number that may move: its rest value, and pegs in order of their frames, at most one a frame.
 * Without pegs it is the rest value always; before the first peg it is that peg's value, after the
 * last that one's.
 */
public record Value(double rest, List<Peg> pegs) {
    public static final Value ZERO = of(0);

    public Value {
        if (!Double.isFinite(rest)) {
            throw new IllegalArgumentException("a value must be finite");
        }
        pegs = pegs.stream().sorted(Comparator.comparingLong(Peg::frame)).toList();
        for (int i = 1; i < pegs.size(); i++) {
            if (pegs.get(i).frame() == pegs.get(i - 1).frame()) {
                throw new IllegalArgumentException("two pegs at frame " + pegs.get(i).frame());
            }
        }
    }

    public static Value of(double rest) {
        return new Value(rest, List.of());
    }

    public boolean isMoving() {
        return !pegs.isEmpty();
    }

    /** The value at a frame, which may lie between whole frames. */
    public double at(Rational frame) {
        if (pegs.isEmpty()) {
            return rest;
        }
        double f = frame.toDouble();
        int number = lastNotAfter(f);
        if (number < 0) {
            return pegs.getFirst().value();
        }
        Peg before = pegs.get(number);
        if (number == pegs.size() - 1) {
            return before.value();
        }
        Peg after = pegs.get(number + 1);
        double t = (f - before.frame()) / (after.frame() - before.frame());
        return before.value() + before.ease().progress(t) * (after.value() - before.value());
    }

    /** The number of the last peg at or before a frame; -1 if there is none. */
    private int lastNotAfter(double frame) {
        int low = 0;
        int high = pegs.size();
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (pegs.get(middle).frame() <= frame) {
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

    public Optional<Peg> pegAt(long frame) {
        return pegs.stream().filter(p -> p.frame() == frame).findFirst();
    }

    /** With this peg, in place of one at the same frame. */
    public Value with(Peg peg) {
        return new Value(rest, Stream.concat(others(peg.frame()), Stream.of(peg)).toList());
    }

    public Value without(long frame) {
        return new Value(rest, others(frame).toList());
    }

    /** The value set to {@code v} as seen at {@code frame}: the peg there if it moves, else its rest. */
    public Value set(long frame, double v) {
        if (!isMoving()) {
            return of(v);
        }
        return with(
                new Peg(frame, v, pegAt(frame).map(Peg::ease).orElseGet(() -> easeInto(frame))));
    }

    private Ease easeInto(long frame) {
        Ease ease = pegs.getFirst().ease();
        for (Peg peg : pegs) {
            if (peg.frame() < frame) {
                ease = peg.ease();
            }
        }
        return ease;
    }

    private Stream<Peg> others(long frame) {
        Predicate<Peg> there = p -> p.frame() == frame;
        return pegs.stream().filter(there.negate());
    }

    /** With the rest and every peg's value changed in the same way. */
    public Value map(DoubleUnaryOperator change) {
        return new Value(
                change.applyAsDouble(rest),
                pegs.stream()
                        .map(p -> new Peg(p.frame(), change.applyAsDouble(p.value()), p.ease()))
                        .toList());
    }

    /**
     * The sum of the two. Where both move it has the pegs of both, and is exact at each of them; between two it
     * goes as the one does that has the first of them.
     */
    public Value plus(Value other) {
        if (!other.isMoving()) {
            return map(v -> v + other.rest);
        }
        if (!isMoving()) {
            return other.map(v -> v + rest);
        }
        Value sum = of(rest + other.rest);
        for (Peg peg : Stream.concat(other.pegs.stream(), pegs.stream()).toList()) {
            long frame = peg.frame();
            sum = sum.with(new Peg(frame, at(frame) + other.at(frame), peg.ease()));
        }
        return sum;
    }
}
