package ivrik.core.look;

import ivrik.core.look.Target.OfBurst;
import ivrik.core.look.Target.OfChannel;
import ivrik.core.look.Target.OfChannelSource;
import ivrik.core.look.Target.OfDial;
import ivrik.core.look.Target.OfMask;
import ivrik.core.look.Target.OfOpacity;
import ivrik.core.look.Target.OfOption;
import ivrik.core.look.Target.OfPlacement;
import ivrik.core.look.Target.OfShutter;
import ivrik.core.look.Target.OfStep;
import ivrik.core.look.Target.OfStrength;
import ivrik.core.motion.Jitter;
import ivrik.core.motion.Value;
import ivrik.core.treatment.Description;
import ivrik.core.treatment.Option;
import ivrik.core.treatment.Parameter;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Reads, changes and describes the numbers that targets address. */
public final class Targets {
    private static final Parameter SHARE = Parameter.of("amount", "amount", "", 0, 1, 1, 0.1);
    private static final Parameter OPACITY =
            Parameter.of(Parameter.OPACITY, "opacity", "", 0, LookBlend.MAX_OPACITY, 1, 0.1);
    private static final Parameter SHAKE =
            Parameter.of(OfChannel.JITTER, "jitter", "", 0, 1e6, 0, 1);
    private static final Parameter RATE =
            Parameter.of(
                    OfChannel.JITTER_RATE,
                    "jitter rate",
                    "Hz",
                    0,
                    Jitter.MAX_FREQUENCY_HZ,
                    Jitter.NONE.frequencyHz(),
                    1);

    private static final Parameter SHUTTER =
            Parameter.of("angle", "shutter", "deg", 0, Shutter.MAX_DEGREES, 0, 1);

    private Targets() {}

    /** The addressed value; empty if there is none. */
    public static Optional<Value> value(Look look, Target target) {
        return switch (target) {
            case OfChannel t ->
                    look.step(t.step())
                            .filter(s -> !s.isWhole())
                            .flatMap(s -> value(s.settings(t.channel()), t.parameter()));
            case OfStep t ->
                    look.step(t.step())
                            .filter(Step::isWhole)
                            .flatMap(s -> value(s.settings(0), t.parameter()));
            case OfMask t ->
                    Mask.PARTS.stream()
                            .filter(p -> p.name().equals(t.part()))
                            .map(p -> p.value().apply(look.mask()))
                            .findFirst();
            case OfOpacity t -> Optional.of(look.blend().opacity());
            case OfShutter t -> Optional.of(look.shutter().angleDegrees());
            case OfStrength t -> Optional.of(look.channels().get(t.channel()).strength());
            case OfChannelSource t ->
                    ChannelSourceParameters.named(t.part())
                            .map(
                                    p ->
                                            p.value()
                                                    .apply(
                                                            look.channels()
                                                                    .get(t.channel())
                                                                    .channelSource()));
            case OfDial t -> dial(look, t).map(Dial::value);
            case OfBurst t ->
                    look.burst(t.burst())
                            .flatMap(
                                    b ->
                                            BurstParameters.named(t.part())
                                                    .map(p -> p.value().apply(b)));
            case OfPlacement t -> Optional.empty();
            case OfOption t ->
                    option(look, t)
                            .map(o -> Value.of(o.choices().indexOf(choice(look, t.step(), o))));
        };
    }

    private static Optional<Option> option(Look look, OfOption target) {
        return look.step(target.step()).stream()
                .flatMap(s -> s.kind().description().options().stream())
                .filter(o -> o.name().equals(target.option()))
                .findFirst();
    }

    private static String choice(Look look, String step, Option option) {
        return look.step(step).orElseThrow().choice(option);
    }

    private static Optional<Dial> dial(Look look, OfDial target) {
        return look.dials().stream().filter(d -> d.name().equals(target.dial())).findFirst();
    }

    /** The parameter whose own jitter is addressed; empty if there is none. */
    private static Optional<String> ownJitter(String parameter) {
        return parameter.startsWith(OfChannel.OWN_JITTER)
                ? Optional.of(parameter.substring(OfChannel.OWN_JITTER.length()))
                : Optional.empty();
    }

    private static Optional<Value> value(ChannelSettings settings, String parameter) {
        return Optional.ofNullable(
                switch (parameter) {
                    case OfChannel.JITTER -> settings.jitter().amount();
                    case OfChannel.JITTER_RATE -> Value.of(settings.jitter().frequencyHz());
                    default ->
                            ownJitter(parameter)
                                    .map(of -> ownJitter(settings, of))
                                    .orElseGet(() -> settings.value(parameter));
                });
    }

    /** The amount of a parameter's own jitter, 0 by default; null without such a parameter. */
    private static Value ownJitter(ChannelSettings settings, String parameter) {
        Jitter jitter = settings.jitters().get(parameter);
        return jitter != null
                ? jitter.amount()
                : settings.value(parameter) == null ? null : Value.ZERO;
    }

    /** The look with the addressed value replaced; the same look if the target does not exist. */
    public static Look with(Look look, Target target, Value value) {
        return switch (target) {
            case OfChannel t ->
                    look.withSettings(t.step(), t.channel(), a -> with(a, t.parameter(), value));
            case OfStep t -> look.withSettings(t.step(), 0, a -> with(a, t.parameter(), value));
            case OfMask t -> look.withMask(look.mask().with(t.part(), value));
            case OfOpacity t -> look.withBlend(new LookBlend(look.blend().mode(), value));
            case OfShutter t -> look.withShutter(look.shutter().withAngleDegrees(value));
            case OfStrength t -> look.withChannel(t.channel(), s -> s.withStrength(value));
            case OfChannelSource t ->
                    ChannelSourceParameters.named(t.part())
                            .map(
                                    p ->
                                            look.withChannel(
                                                    t.channel(),
                                                    s ->
                                                            s.withChannelSource(
                                                                    p.with()
                                                                            .apply(
                                                                                    s
                                                                                            .channelSource(),
                                                                                    value))))
                            .orElse(look);
            case OfDial t ->
                    look.withDials(
                            look.dials().stream()
                                    .map(d -> d.name().equals(t.dial()) ? d.withValue(value) : d)
                                    .toList());
            case OfBurst t ->
                    look.burst(t.burst())
                            .flatMap(
                                    b ->
                                            BurstParameters.named(t.part())
                                                    .map(p -> p.with().apply(b, value)))
                            .map(look::withBurst)
                            .orElse(look);
            case OfPlacement t -> look;
            case OfOption t ->
                    option(look, t)
                            .map(
                                    o ->
                                            look.withStep(
                                                    t.step(),
                                                    s -> s.withChoice(o, o.near(value.rest()))))
                            .orElse(look);
        };
    }

    private static ChannelSettings with(ChannelSettings settings, String parameter, Value value) {
        return switch (parameter) {
            case OfChannel.JITTER -> settings.withJitter(settings.jitter().withAmount(value));
            case OfChannel.JITTER_RATE ->
                    settings.withJitter(settings.jitter().withFrequencyHz(value.rest()));
            default ->
                    ownJitter(parameter)
                            .map(
                                    of ->
                                            settings.withJitter(
                                                    of,
                                                    settings.jitters()
                                                            .getOrDefault(of, Jitter.NONE)
                                                            .withAmount(value)))
                            .orElseGet(() -> settings.with(parameter, value));
        };
    }

    /** Title, unit and range of the addressed value; empty if there is none. */
    public static Optional<Parameter> range(Look look, Target target) {
        return switch (target) {
            case OfChannel t -> parameter(look, t.step(), t.parameter());
            case OfStep t -> parameter(look, t.step(), t.parameter());
            case OfMask t ->
                    Mask.PARTS.stream()
                            .filter(p -> p.name().equals(t.part()))
                            .map(Mask.Part::range)
                            .findFirst();
            case OfOpacity t -> Optional.of(OPACITY);
            case OfShutter t -> Optional.of(SHUTTER);
            case OfStrength t -> Optional.of(SHARE);
            case OfChannelSource t ->
                    ChannelSourceParameters.named(t.part())
                            .map(ChannelSourceParameters.Part::range);
            case OfDial t -> dial(look, t).map(Dial::range);
            case OfBurst t -> BurstParameters.named(t.part()).map(BurstParameters.Part::range);
            case OfPlacement t -> Placement.part(t.part()).map(Placement.Part::range);
            case OfOption t ->
                    option(look, t)
                            .map(
                                    o ->
                                            Parameter.of(
                                                    o.name(),
                                                    o.title(),
                                                    "",
                                                    0,
                                                    o.choices().size() - 1,
                                                    0,
                                                    1));
        };
    }

    private static Optional<Parameter> parameter(Look look, String step, String name) {
        return switch (name) {
            case OfChannel.JITTER -> Optional.of(SHAKE);
            case OfChannel.JITTER_RATE -> Optional.of(RATE);
            default ->
                    ownJitter(name).isPresent() ? Optional.of(SHAKE) : described(look, step, name);
        };
    }

    private static Optional<Parameter> described(Look look, String step, String name) {
        return look.step(step)
                .map(s -> s.kind().description())
                .filter(d -> d.knows(name))
                .map((Description d) -> d.parameter(name));
    }

    /** All numbers of a look that can have keyframes. */
    public static List<Target> keyed(Look look) {
        List<Target> all = new ArrayList<>();
        for (Step step : look.steps()) {
            for (int channel = 0; channel < step.channels().size(); channel++) {
                ChannelSettings settings = step.settings(channel);
                Stream<String> names =
                        Stream.of(
                                        settings.values().keySet().stream(),
                                        settings.jitters().keySet().stream()
                                                .map(n -> OfChannel.OWN_JITTER + n),
                                        Stream.of(OfChannel.JITTER))
                                .flatMap(n -> n);
                int number = channel;
                names.map(
                                n ->
                                        step.isWhole()
                                                ? new OfStep(step.id(), n)
                                                : new OfChannel(step.id(), number, n))
                        .forEach(all::add);
            }
        }
        Mask.PARTS.forEach(p -> all.add(new OfMask(p.name())));
        all.add(new OfOpacity());
        all.add(new OfShutter());
        for (int channel = 0; channel < look.channels().size(); channel++) {
            int number = channel;
            all.add(new OfStrength(channel));
            ChannelSourceParameters.ALL.forEach(
                    p -> all.add(new OfChannelSource(number, p.name())));
        }
        look.dials().forEach(d -> all.add(new OfDial(d.name())));
        for (Burst burst : look.bursts()) {
            all.add(new OfBurst(burst.id(), BurstParameters.STRENGTH));
            all.add(new OfBurst(burst.id(), BurstParameters.ANGLE));
        }
        return List.copyOf(all);
    }

    /** Whether the number can have keyframes; of other numbers only the rest value counts. */
    public static boolean isKeyed(Target target) {
        return switch (target) {
            case OfChannel t -> !t.parameter().equals(OfChannel.JITTER_RATE);
            case OfStep t -> !t.parameter().equals(OfChannel.JITTER_RATE);
            case OfBurst t ->
                    t.part().equals(BurstParameters.STRENGTH)
                            || t.part().equals(BurstParameters.ANGLE);
            case OfOption t -> false;
            default -> true;
        };
    }

    /** Whether the target exists: its step, its parameter, its channel. */
    public static boolean exists(Look look, Target target) {
        return target instanceof OfPlacement place
                ? Placement.part(place.part()).isPresent()
                : value(look, target).isPresent();
    }
}
