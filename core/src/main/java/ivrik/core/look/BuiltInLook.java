package ivrik.core.look;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A look that comes with Ivrik.
 *
 * @param zero the dials, and what they are set to for the look to do nothing
 * @param shown dials that are set to show what it does, where by itself it begins at nothing
 */
public record BuiltInLook(
        LookGroup group, Look look, Map<String, Double> zero, Map<String, Double> shown) {
    public BuiltInLook {
        zero = Map.copyOf(zero);
        shown = Map.copyOf(shown);
    }

    /** One that does nothing when all its dials are at rest. */
    static BuiltInLook of(LookGroup group, String title, Look look, String... tags) {
        Map<String, Double> rests = new LinkedHashMap<>();
        look.dials().forEach(d -> rests.put(d.name(), d.rest()));
        return new BuiltInLook(
                group, look.withTitle(title).withTags(List.of(tags)), rests, Map.of());
    }

    /** One that does nothing when these dials are so. */
    BuiltInLook withZero(String dial, double value) {
        Map<String, Double> all = new LinkedHashMap<>(zero);
        all.put(dial, value);
        return new BuiltInLook(group, look, all, shown);
    }

    /** One that is shown with these dials. */
    BuiltInLook shown(Map<String, Double> dials) {
        return new BuiltInLook(group, look, zero, dials);
    }

    /** The look with its dials where it does nothing. */
    public Look atZero() {
        return set(zero);
    }

    /** The look as it shows what it does. */
    public Look shownOff() {
        return set(shown);
    }

    private Look set(Map<String, Double> dials) {
        Look set = look;
        for (Map.Entry<String, Double> dial : dials.entrySet()) {
            set = set.withDial(dial.getKey(), dial.getValue());
        }
        return set;
    }
}
