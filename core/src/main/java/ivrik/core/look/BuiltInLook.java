package ivrik.core.look;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A built-in look.
 *
 * @param zero dials and the values at which the look has no effect
 * @param example dial values that show the look's effect, if its defaults have none
 */
public record BuiltInLook(
        LookGroup group, Look look, Map<String, Double> zero, Map<String, Double> example) {
    public BuiltInLook {
        zero = Map.copyOf(zero);
        example = Map.copyOf(example);
    }

    /** A look that has no effect while all its dials are at rest. */
    static BuiltInLook of(LookGroup group, String title, Look look, String... tags) {
        Map<String, Double> rests = new LinkedHashMap<>();
        look.dials().forEach(d -> rests.put(d.name(), d.rest()));
        return new BuiltInLook(
                group, look.withTitle(title).withTags(List.of(tags)), rests, Map.of());
    }

    /** This look, without effect only at this value of a dial. */
    BuiltInLook withZero(String dial, double value) {
        Map<String, Double> all = new LinkedHashMap<>(zero);
        all.put(dial, value);
        return new BuiltInLook(group, look, all, example);
    }

    /** This look with dial values that show its effect. */
    BuiltInLook example(Map<String, Double> dials) {
        return new BuiltInLook(group, look, zero, dials);
    }

    /** The look with its dials set to have no effect. */
    public Look atZero() {
        return set(zero);
    }

    /** The look with its example dial values. */
    public Look withExampleSettings() {
        return set(example);
    }

    private Look set(Map<String, Double> dials) {
        Look set = look;
        for (Map.Entry<String, Double> dial : dials.entrySet()) {
            set = set.withDial(dial.getKey(), dial.getValue());
        }
        return set;
    }
}
