package ivrik.core.look;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.motion.Jitter;
import ivrik.core.motion.Value;
import ivrik.core.treatment.Description;
import ivrik.core.treatment.Parameter;
import ivrik.core.treatment.Series;

import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * One lane's share in a step, or the picture's: a value for each parameter, and what is random about it.
 *
 * @param jitter added to the values that jitter, but those that have one of their own
 * @param jitters those of single values, by their parameters
 * @param seed of what else is random
 * @param unbaked what it was before its jitter was baked to pegs; empty where that is not so
 */
@RecordBuilder
public record Amounts(
        Map<String, Value> values,
        Jitter jitter,
        Map<String, Jitter> jitters,
        long seed,
        Optional<Unbaked> unbaked)
        implements AmountsBuilder.With {
    /** The seed where none is chosen. */
    public static final long FIRST_SEED = 1;

    public Amounts {
        values = Collections.unmodifiableSortedMap(new TreeMap<>(values));
        jitters = Collections.unmodifiableSortedMap(new TreeMap<>(jitters));
    }

    /** Values and jitter of their own, as they were before the jitter became pegs. */
    public record Unbaked(Map<String, Value> values, Jitter jitter, Map<String, Jitter> jitters) {
        public Unbaked {
            values = Collections.unmodifiableSortedMap(new TreeMap<>(values));
            jitters = Collections.unmodifiableSortedMap(new TreeMap<>(jitters));
        }
    }

    /** All parameters at rest. */
    public static Amounts atRest(Description description) {
        Map<String, Value> values = new TreeMap<>();
        for (Parameter parameter : description.parameters()) {
            values.put(parameter.name(), Value.of(parameter.rest()));
        }
        return new Amounts(values, Jitter.NONE, Map.of(), FIRST_SEED, Optional.empty());
    }

    /** What a lane has where a treatment is shown off. */
    public static Amounts shownOff(Description description, int lane, int lanes) {
        Amounts amounts = atRest(description);
        for (Parameter parameter : description.parameters()) {
            amounts = amounts.with(parameter.name(), Value.of(parameter.shownFor(lane, lanes)));
        }
        return amounts;
    }

    /** What is added to a value at random: its own jitter, or the lane's where that is added to such values. */
    public Jitter jitterOf(Parameter parameter) {
        Jitter own = jitters.get(parameter.name());
        return own != null ? own : parameter.jitters() ? jitter : Jitter.NONE;
    }

    /** With a value's own jitter. */
    public Amounts withJitter(String parameter, Jitter own) {
        Map<String, Jitter> changed = new TreeMap<>(jitters);
        changed.put(parameter, own);
        return withJitters(changed);
    }

    /** With its jitter in pegs: these values, and no jitter; {@link #unbaked} keeps what was. */
    public Amounts baked(Map<String, Value> pegged) {
        Map<String, Value> changed = new TreeMap<>(values);
        changed.putAll(pegged);
        Unbaked before = new Unbaked(values, jitter, jitters);
        return with(
                a ->
                        a.values(changed)
                                .jitter(jitter.withAmount(Value.ZERO))
                                .jitters(Map.of())
                                .unbaked(Optional.of(before)));
    }

    /** As it was before its jitter was baked; itself if it was not. */
    public Amounts unbakedAgain() {
        return unbaked.map(
                        u ->
                                with(
                                        a ->
                                                a.values(u.values())
                                                        .jitter(u.jitter())
                                                        .jitters(u.jitters())
                                                        .unbaked(Optional.empty())))
                .orElse(this);
    }

    public Value value(String parameter) {
        return values.get(parameter);
    }

    /** How many things of a series there are: one more than the highest number. */
    public int count(Series series) {
        String prefix = series.name() + ".";
        return values.keySet().stream()
                .filter(k -> k.startsWith(prefix))
                .map(k -> k.substring(prefix.length(), k.lastIndexOf('.')))
                .mapToInt(Integer::parseInt)
                .map(n -> n + 1)
                .max()
                .orElse(0);
    }

    /** With one thing more, all of it at rest but what is given. */
    public Amounts withThing(Series series, Map<String, Double> numbers) {
        Amounts more = this;
        int number = count(series);
        for (Parameter p : series.parameters()) {
            double value = numbers.getOrDefault(p.name(), p.rest());
            more = more.with(series.address(number, p.name()), Value.of(value));
        }
        return more;
    }

    /** Without a thing; those after it are counted anew. */
    public Amounts withoutThing(Series series, int number) {
        Map<String, Value> kept = new TreeMap<>(values);
        int count = count(series);
        for (int i = number; i < count; i++) {
            for (Parameter p : series.parameters()) {
                Value next = values.get(series.address(i + 1, p.name()));
                if (next == null) {
                    kept.remove(series.address(i, p.name()));
                } else {
                    kept.put(series.address(i, p.name()), next);
                }
            }
        }
        return withValues(kept);
    }

    public Amounts with(String parameter, Value value) {
        Map<String, Value> changed = new TreeMap<>(values);
        changed.put(parameter, value);
        return withValues(changed);
    }

    /** With jitter, and what else is random, drawn from a seed. */
    public Amounts seeded(long from) {
        Map<String, Jitter> changed = new TreeMap<>(jitters);
        changed.replaceAll((name, one) -> one.withSeed(from));
        return with(a -> a.jitter(jitter.withSeed(from)).jitters(changed).seed(from));
    }

    public boolean isMoving() {
        return jitter.amount().isMoving()
                || jitters.values().stream().anyMatch(j -> j.amount().isMoving())
                || values.values().stream().anyMatch(Value::isMoving);
    }
}
