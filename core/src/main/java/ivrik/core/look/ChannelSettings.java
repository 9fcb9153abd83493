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
 * The settings of a step in one channel, or in the whole picture: a value for each parameter, and randomness.
 *
 * @param jitter jitter of all parameters that move, unless they have their own
 * @param jitters jitter of single parameters, by name
 * @param seed seed of all other randomness
 * @param origin whose random numbers the settings use, if they were copied; empty for their own place
 * @param beforeBaking settings before the jitter was baked to keyframes; empty if it was not
 */
@RecordBuilder
public record ChannelSettings(
        Map<String, Value> values,
        Jitter jitter,
        Map<String, Jitter> jitters,
        long seed,
        Optional<RandomOrigin> origin,
        Optional<BeforeBaking> beforeBaking)
        implements ChannelSettingsBuilder.With {
    /** Default seed. */
    public static final long FIRST_SEED = 1;

    public ChannelSettings {
        values = Collections.unmodifiableSortedMap(new TreeMap<>(values));
        jitters = Collections.unmodifiableSortedMap(new TreeMap<>(jitters));
    }

    /**
     * Where settings were copied from.
     *
     * @param place identifies the layer and look
     * @param step id of the treatment
     * @param channel channel index
     */
    public record RandomOrigin(String place, String step, int channel) {}

    /** These settings with the random numbers of another place. */
    public ChannelSettings from(RandomOrigin other) {
        return withOrigin(Optional.of(other));
    }

    /** Values and jitter before the jitter was baked to keyframes. */
    public record BeforeBaking(
            Map<String, Value> values, Jitter jitter, Map<String, Jitter> jitters) {
        public BeforeBaking {
            values = Collections.unmodifiableSortedMap(new TreeMap<>(values));
            jitters = Collections.unmodifiableSortedMap(new TreeMap<>(jitters));
        }
    }

    /** All parameters at their defaults. */
    public static ChannelSettings atRest(Description description) {
        Map<String, Value> values = new TreeMap<>();
        for (Parameter parameter : description.parameters()) {
            values.put(parameter.name(), Value.of(parameter.rest()));
        }
        return new ChannelSettings(
                values, Jitter.NONE, Map.of(), FIRST_SEED, Optional.empty(), Optional.empty());
    }

    /** These settings with fixed values that show the treatment's effect; jitter is unchanged. */
    public ChannelSettings withExample(Description description, int channel, int channels) {
        ChannelSettings settings = this;
        for (Parameter parameter : description.parameters()) {
            settings =
                    settings.with(
                            parameter.name(), Value.of(parameter.exampleFor(channel, channels)));
        }
        return settings;
    }

    /**
     * The jitter of a parameter: its own, or else the channel's if the parameter moves the picture.
     */
    public Jitter jitterOf(Parameter parameter) {
        Jitter own = jitters.get(parameter.name());
        return own != null ? own : parameter.jitters() ? jitter : Jitter.NONE;
    }

    /** These settings with the own jitter of a parameter. */
    public ChannelSettings withJitter(String parameter, Jitter own) {
        Map<String, Jitter> changed = new TreeMap<>(jitters);
        changed.put(parameter, own);
        return withJitters(changed);
    }

    /**
     * These settings with jitter replaced by keyframes; {@link #restoredJitter} reverts the change.
     */
    public ChannelSettings baked(Map<String, Value> keyframed) {
        Map<String, Value> changed = new TreeMap<>(values);
        changed.putAll(keyframed);
        BeforeBaking before = new BeforeBaking(values, jitter, jitters);
        return with(
                a ->
                        a.values(changed)
                                .jitter(jitter.withAmount(Value.ZERO))
                                .jitters(Map.of())
                                .beforeBaking(Optional.of(before)));
    }

    /** The settings before baking; the same settings if the jitter was not baked. */
    public ChannelSettings restoredJitter() {
        return beforeBaking
                .map(
                        u ->
                                with(
                                        a ->
                                                a.values(u.values())
                                                        .jitter(u.jitter())
                                                        .jitters(u.jitters())
                                                        .beforeBaking(Optional.empty())))
                .orElse(this);
    }

    public Value value(String parameter) {
        return values.get(parameter);
    }

    /** Number of items of a series: the highest index plus one. */
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

    /** These settings with one more item, all numbers at their defaults except the given ones. */
    public ChannelSettings withItem(Series series, Map<String, Double> numbers) {
        ChannelSettings more = this;
        int number = count(series);
        for (Parameter p : series.parameters()) {
            double value = numbers.getOrDefault(p.name(), p.rest());
            more = more.with(series.address(number, p.name()), Value.of(value));
        }
        return more;
    }

    /** These settings without an item; later items are renumbered. */
    public ChannelSettings withoutItem(Series series, int number) {
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

    public ChannelSettings with(String parameter, Value value) {
        Map<String, Value> changed = new TreeMap<>(values);
        changed.put(parameter, value);
        return withValues(changed);
    }

    /** These settings with all randomness drawn from a seed. */
    public ChannelSettings seeded(long from) {
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
