package ivrik.core.look;

import ivrik.core.look.Target.OfBurst;
import ivrik.core.look.Target.OfDial;
import ivrik.core.look.Target.OfFeed;
import ivrik.core.look.Target.OfLane;
import ivrik.core.look.Target.OfOnto;
import ivrik.core.look.Target.OfPlace;
import ivrik.core.look.Target.OfReach;
import ivrik.core.look.Target.OfShutter;
import ivrik.core.look.Target.OfStep;
import ivrik.core.look.Target.OfStrength;
import ivrik.core.look.Target.OfWord;
import ivrik.core.motion.Jitter;
import ivrik.core.motion.Value;
import ivrik.core.treatment.Description;
import ivrik.core.treatment.Option;
import ivrik.core.treatment.Parameter;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** What targets are aimed at in a look: reading it, changing it, and what it may be. */
public final class Targets {
    private static final Parameter SHARE = Parameter.of("amount", "amount", "", 0, 1, 1, 0.1);
    private static final Parameter SHAKE = Parameter.of(OfLane.JITTER, "jitter", "", 0, 1e6, 0, 1);
    private static final Parameter RATE =
            Parameter.of(
                    OfLane.JITTER_RATE,
                    "rate of the jitter",
                    "Hz",
                    0,
                    Jitter.MAX_FREQUENCY_HZ,
                    Jitter.NONE.frequencyHz(),
                    1);

    private static final Parameter SHUTTER =
            Parameter.of("angle", "shutter", "deg", 0, Shutter.MOST_DEGREES, 0, 1);

    private Targets() {}

    /** The value aimed at; empty where there is none, or it is not in the look. */
    public static Optional<Value> value(Look look, Target target) {
        return switch (target) {
            case OfLane t ->
                    look.step(t.step())
                            .filter(s -> !s.isWhole())
                            .flatMap(s -> value(s.amounts(t.lane()), t.parameter()));
            case OfStep t ->
                    look.step(t.step())
                            .filter(Step::isWhole)
                            .flatMap(s -> value(s.amounts(0), t.parameter()));
            case OfReach t ->
                    Reach.PARTS.stream()
                            .filter(p -> p.name().equals(t.part()))
                            .map(p -> p.value().apply(look.reach()))
                            .findFirst();
            case OfOnto t -> Optional.of(look.onto().amount());
            case OfShutter t -> Optional.of(look.shutter().angleDegrees());
            case OfStrength t -> Optional.of(look.lanes().get(t.lane()).strength());
            case OfFeed t ->
                    FeedParts.named(t.part())
                            .map(p -> p.value().apply(look.lanes().get(t.lane()).feed()));
            case OfDial t -> dial(look, t).map(Dial::value);
            case OfBurst t ->
                    look.burst(t.burst())
                            .flatMap(b -> BurstParts.named(t.part()).map(p -> p.value().apply(b)));
            case OfPlace t -> Optional.empty();
            case OfWord t ->
                    option(look, t).map(o -> Value.of(o.words().indexOf(word(look, t.step(), o))));
        };
    }

    private static Optional<Option> option(Look look, OfWord target) {
        return look.step(target.step()).stream()
                .flatMap(s -> s.kind().description().options().stream())
                .filter(o -> o.name().equals(target.option()))
                .findFirst();
    }

    private static String word(Look look, String step, Option option) {
        return look.step(step).orElseThrow().word(option);
    }

    private static Optional<Dial> dial(Look look, OfDial target) {
        return look.dials().stream().filter(d -> d.name().equals(target.dial())).findFirst();
    }

    /** The parameter whose own jitter is meant; empty where none is. */
    private static Optional<String> ownJitter(String parameter) {
        return parameter.startsWith(OfLane.OWN_JITTER)
                ? Optional.of(parameter.substring(OfLane.OWN_JITTER.length()))
                : Optional.empty();
    }

    private static Optional<Value> value(Amounts amounts, String parameter) {
        return Optional.ofNullable(
                switch (parameter) {
                    case OfLane.JITTER -> amounts.jitter().amount();
                    case OfLane.JITTER_RATE -> Value.of(amounts.jitter().frequencyHz());
                    default ->
                            ownJitter(parameter)
                                    .map(amounts.jitters()::get)
                                    .map(Jitter::amount)
                                    .orElseGet(() -> amounts.value(parameter));
                });
    }

    /** With the value aimed at replaced; the look itself where that is not in it. */
    public static Look with(Look look, Target target, Value value) {
        return switch (target) {
            case OfLane t ->
                    look.withAmounts(t.step(), t.lane(), a -> with(a, t.parameter(), value));
            case OfStep t -> look.withAmounts(t.step(), 0, a -> with(a, t.parameter(), value));
            case OfReach t -> look.withReach(look.reach().with(t.part(), value));
            case OfOnto t -> look.withOnto(new Onto(look.onto().blend(), value));
            case OfShutter t -> look.withShutter(look.shutter().withAngleDegrees(value));
            case OfStrength t -> look.withLane(t.lane(), s -> s.withStrength(value));
            case OfFeed t ->
                    FeedParts.named(t.part())
                            .map(
                                    p ->
                                            look.withLane(
                                                    t.lane(),
                                                    s ->
                                                            s.withFeed(
                                                                    p.with()
                                                                            .apply(
                                                                                    s.feed(),
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
                                            BurstParts.named(t.part())
                                                    .map(p -> p.with().apply(b, value)))
                            .map(look::withBurst)
                            .orElse(look);
            case OfPlace t -> look;
            case OfWord t ->
                    option(look, t)
                            .map(
                                    o ->
                                            look.withStep(
                                                    t.step(),
                                                    s -> s.withWord(o, o.near(value.rest()))))
                            .orElse(look);
        };
    }

    private static Amounts with(Amounts amounts, String parameter, Value value) {
        return switch (parameter) {
            case OfLane.JITTER -> amounts.withJitter(amounts.jitter().withAmount(value));
            case OfLane.JITTER_RATE ->
                    amounts.withJitter(amounts.jitter().withFrequencyHz(value.rest()));
            default ->
                    ownJitter(parameter)
                            .map(
                                    of ->
                                            amounts.withJitter(
                                                    of,
                                                    amounts.jitters()
                                                            .getOrDefault(of, Jitter.NONE)
                                                            .withAmount(value)))
                            .orElseGet(() -> amounts.with(parameter, value));
        };
    }

    /** What the value aimed at is called, its unit and its range; empty where there is none. */
    public static Optional<Parameter> range(Look look, Target target) {
        return switch (target) {
            case OfLane t -> parameter(look, t.step(), t.parameter());
            case OfStep t -> parameter(look, t.step(), t.parameter());
            case OfReach t ->
                    Reach.PARTS.stream()
                            .filter(p -> p.name().equals(t.part()))
                            .map(Reach.Part::range)
                            .findFirst();
            case OfOnto t -> Optional.of(SHARE);
            case OfShutter t -> Optional.of(SHUTTER);
            case OfStrength t -> Optional.of(SHARE);
            case OfFeed t -> FeedParts.named(t.part()).map(FeedParts.Part::range);
            case OfDial t -> dial(look, t).map(Dial::range);
            case OfBurst t -> BurstParts.named(t.part()).map(BurstParts.Part::range);
            case OfPlace t -> Place.part(t.part()).map(Place.Part::range);
            case OfWord t ->
                    option(look, t)
                            .map(
                                    o ->
                                            Parameter.of(
                                                    o.name(),
                                                    o.title(),
                                                    "",
                                                    0,
                                                    o.words().size() - 1,
                                                    0,
                                                    1));
        };
    }

    private static Optional<Parameter> parameter(Look look, String step, String name) {
        return switch (name) {
            case OfLane.JITTER -> Optional.of(SHAKE);
            case OfLane.JITTER_RATE -> Optional.of(RATE);
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

    /** All numbers of a look that pegs can move. */
    public static List<Target> keyed(Look look) {
        List<Target> all = new ArrayList<>();
        for (Step step : look.steps()) {
            for (int lane = 0; lane < step.lanes().size(); lane++) {
                Amounts amounts = step.amounts(lane);
                Stream<String> names =
                        Stream.of(
                                        amounts.values().keySet().stream(),
                                        amounts.jitters().keySet().stream()
                                                .map(n -> OfLane.OWN_JITTER + n),
                                        Stream.of(OfLane.JITTER))
                                .flatMap(n -> n);
                int number = lane;
                names.map(
                                n ->
                                        step.isWhole()
                                                ? new OfStep(step.id(), n)
                                                : new OfLane(step.id(), number, n))
                        .forEach(all::add);
            }
        }
        Reach.PARTS.forEach(p -> all.add(new OfReach(p.name())));
        all.add(new OfOnto());
        all.add(new OfShutter());
        for (int lane = 0; lane < look.lanes().size(); lane++) {
            int number = lane;
            all.add(new OfStrength(lane));
            FeedParts.ALL.forEach(p -> all.add(new OfFeed(number, p.name())));
        }
        look.dials().forEach(d -> all.add(new OfDial(d.name())));
        for (Burst burst : look.bursts()) {
            all.add(new OfBurst(burst.id(), BurstParts.STRENGTH));
            all.add(new OfBurst(burst.id(), BurstParts.ANGLE));
        }
        return List.copyOf(all);
    }

    /** Whether pegs can move it; of the others only the rest counts. */
    public static boolean isKeyed(Target target) {
        return switch (target) {
            case OfLane t -> !t.parameter().equals(OfLane.JITTER_RATE);
            case OfStep t -> !t.parameter().equals(OfLane.JITTER_RATE);
            case OfBurst t ->
                    t.part().equals(BurstParts.STRENGTH) || t.part().equals(BurstParts.ANGLE);
            case OfWord t -> false;
            default -> true;
        };
    }

    /** Whether there is such a target: its step, its parameter, its lane. */
    public static boolean exists(Look look, Target target) {
        return target instanceof OfPlace place
                ? Place.part(place.part()).isPresent()
                : value(look, target).isPresent();
    }
}
