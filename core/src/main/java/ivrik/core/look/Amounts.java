package ivrik.core.look;

import ivrik.core.motion.Jitter;
import ivrik.core.motion.Value;
import ivrik.core.treatment.Description;
import ivrik.core.treatment.Parameter;

import java.util.Map;
import java.util.TreeMap;

/** One lane's share in a step: a value for each parameter, and the jitter added to them. */
public record Amounts(Map<String, Value> values, Jitter jitter) {
    public Amounts {
        values = java.util.Collections.unmodifiableSortedMap(new TreeMap<>(values));
    }

    /** All parameters at rest. */
    public static Amounts atRest(Description description) {
        Map<String, Value> values = new TreeMap<>();
        for (Parameter parameter : description.parameters()) {
            values.put(parameter.name(), Value.of(parameter.rest()));
        }
        return new Amounts(values, Jitter.NONE);
    }

    public Value value(String parameter) {
        return values.get(parameter);
    }

    public Amounts with(String parameter, Value value) {
        Map<String, Value> changed = new TreeMap<>(values);
        changed.put(parameter, value);
        return new Amounts(changed, jitter);
    }

    public Amounts withJitter(Jitter j) {
        return new Amounts(values, j);
    }

    public boolean isMoving() {
        return jitter.amount().isMoving() || values.values().stream().anyMatch(Value::isMoving);
    }
}
