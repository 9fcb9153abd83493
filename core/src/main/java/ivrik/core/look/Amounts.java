package ivrik.core.look;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.motion.Jitter;
import ivrik.core.motion.Value;
import ivrik.core.treatment.Description;
import ivrik.core.treatment.Parameter;
import ivrik.core.treatment.Series;

import java.util.Collections;
import java.util.Map;
import java.util.TreeMap;

/**
 * One lane's share in a step, or the picture's: a value for each parameter, and what is random about it.
 *
 * @param jitter added to the values that jitter
 * @param seed of what else is random
 */
@RecordBuilder
public record Amounts(Map<String, Value> values, Jitter jitter, long seed)
        implements AmountsBuilder.With {
    /** The seed where none is chosen. */
    public static final long FIRST_SEED = 1;

    public Amounts {
        values = Collections.unmodifiableSortedMap(new TreeMap<>(values));
    }

    /** All parameters at rest. */
    public static Amounts atRest(Description description) {
        Map<String, Value> values = new TreeMap<>();
        for (Parameter parameter : description.parameters()) {
            values.put(parameter.name(), Value.of(parameter.rest()));
        }
        return new Amounts(values, Jitter.NONE, FIRST_SEED);
    }

    /** What a lane has where a treatment is shown off. */
    public static Amounts shownOff(Description description, int lane, int lanes) {
        Amounts amounts = atRest(description);
        for (Parameter parameter : description.parameters()) {
            amounts = amounts.with(parameter.name(), Value.of(parameter.shownFor(lane, lanes)));
        }
        return amounts;
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
        return new Amounts(values, jitter.withSeed(from), from);
    }

    public boolean isMoving() {
        return jitter.amount().isMoving() || values.values().stream().anyMatch(Value::isMoving);
    }
}
