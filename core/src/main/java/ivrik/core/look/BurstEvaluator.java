package ivrik.core.look;

import ivrik.core.filter.Affine;
import ivrik.core.look.Burst.Direction;
import ivrik.core.look.Burst.Drive;
import ivrik.core.look.Target.OfChannel;
import ivrik.core.look.Target.OfStep;
import ivrik.core.motion.Hash;
import ivrik.core.motion.Instant;
import ivrik.core.motion.Occurrence;
import ivrik.core.motion.RandomKey;
import ivrik.core.treatment.Parameter;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.ObjDoubleConsumer;

/** Evaluates what a burst adds to its driven values at one instant. */
final class BurstEvaluator {
    private final Look look;
    private final Burst burst;
    private final Instant instant;
    private final String place;

    /**
     * @param place identifies the layer and look, as salt of random values
     */
    BurstEvaluator(Look look, Burst burst, Instant instant, String place) {
        this.look = look;
        this.burst = burst;
        this.instant = instant;
        this.place = place;
    }

    void add(ObjDoubleConsumer<Target> sums) {
        if (!burst.on()) {
            return;
        }
        Occurrence occurrence =
                Occurrence.at(burst.anchor(), burst.envelope(), burst.repeat(), instant);
        if (occurrence.share() == 0) {
            return;
        }
        Map<Target, Double> factors = new LinkedHashMap<>();
        for (Drive drive : burst.drives()) {
            factors.merge(drive.target(), drive.factor(), Double::sum);
        }
        factors.keySet().stream()
                .flatMap(t -> Partner.of(look, t).stream())
                .toList()
                .forEach(partner -> factors.putIfAbsent(partner.target(), 0.0));
        double strength = burst.strength().at(instant);
        factors.forEach(
                (target, factor) -> {
                    double direction = strength * directed(target, factor, factors, occurrence);
                    sums.accept(target, occurrence.share() * arriving(target, direction));
                });
    }

    /** Rounds the final value of a driven integer parameter. */
    private double arriving(Target target, double direction) {
        boolean round =
                burst.envelope().remains() != 0
                        && Targets.range(look, target).filter(Parameter::comesRound).isPresent();
        return round ? Math.rint(direction) : direction;
    }

    private double directed(
            Target target, double factor, Map<Target, Double> factors, Occurrence occurrence) {
        Direction direction = direction(target);
        Optional<Partner> partner = Partner.of(look, target);
        if (partner.isEmpty()) {
            return switch (direction) {
                case AS_SET -> factor;
                case REVERSED -> -factor;
                case FIXED -> 0;
                case RANDOM -> factor * random(target, occurrence);
            };
        }
        double turn = direction == Direction.RANDOM ? 180 * random(target, occurrence) : 0;
        Affine turned = Affine.turned(burst.angleDegrees().at(instant) + turn, 0, 0);
        double other = factors.getOrDefault(partner.get().target(), 0.0);
        double sign = direction == Direction.FIXED ? 0 : direction == Direction.REVERSED ? -1 : 1;
        // clockwise rotation where y points down: x' = c x - s y, y' = s x + c y
        return sign
                * (partner.get().isAcross()
                        ? turned.xx() * factor + turned.yx() * other
                        : turned.xy() * other + turned.yy() * factor);
    }

    private Direction direction(Target target) {
        int channel = target.channel();
        return channel < 0 || channel >= burst.directions().size()
                ? Direction.AS_SET
                : burst.directions().get(channel);
    }

    /**
     * Random value in -1..1 for each phase of each repetition; the same for both values of an x/y pair.
     */
    private double random(Target target, Occurrence occurrence) {
        RandomKey draw =
                new RandomKey(
                        burst.seed(),
                        RandomKey.origin(instant.variation(), place, "burst/" + burst.id()));
        String what = Partner.of(look, target).map(Partner::both).orElseGet(() -> name(target));
        return Hash.signed(
                draw.at(
                        occurrence.number(),
                        burst.envelope().phase(occurrence.anchorTime(), instant.frame()),
                        Hash.of(what)));
    }

    private String name(Target target) {
        return FormerNames.address(target, look);
    }

    /**
     * The other value of the x/y pair of one step in one channel.
     *
     * @param both salt of the pair
     * @param isAcross whether the requested value is x
     */
    private record Partner(Target target, String both, boolean isAcross) {
        static Optional<Partner> of(Look look, Target target) {
            return switch (target) {
                case OfChannel t ->
                        other(look, t.step(), t.parameter())
                                .map(o -> new OfChannel(t.step(), t.channel(), o))
                                .map(
                                        o ->
                                                of(
                                                        o,
                                                        FormerNames.step(t.step())
                                                                + "/"
                                                                + t.channel(),
                                                        t.parameter()));
                case OfStep t ->
                        other(look, t.step(), t.parameter())
                                .map(o -> new OfStep(t.step(), o))
                                .map(o -> of(o, FormerNames.step(t.step()), t.parameter()));
                case Target.OfPlacement t ->
                        t.part().equals("x") || t.part().equals("y")
                                ? Optional.of(
                                        of(
                                                new Target.OfPlacement(
                                                        t.part().equals("x") ? "y" : "x"),
                                                "place",
                                                t.part()))
                                : Optional.empty();
                default -> Optional.empty();
            };
        }

        private static Partner of(Target other, String both, String parameter) {
            return new Partner(other, both, parameter.equals("x"));
        }

        private static Optional<String> other(Look look, String step, String parameter) {
            boolean pair =
                    (parameter.equals("x") || parameter.equals("y"))
                            && look.step(step)
                                    .map(s -> s.kind().description())
                                    .filter(d -> d.knows("x") && d.knows("y"))
                                    .isPresent();
            return pair ? Optional.of(parameter.equals("x") ? "y" : "x") : Optional.empty();
        }
    }
}
