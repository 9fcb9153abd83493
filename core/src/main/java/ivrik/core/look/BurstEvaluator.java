package ivrik.core.look;

import ivrik.core.filter.Affine;
import ivrik.core.look.Burst.Direction;
import ivrik.core.look.Burst.Drive;
import ivrik.core.motion.Envelope;
import ivrik.core.motion.Hash;
import ivrik.core.motion.Instant;
import ivrik.core.motion.Occurrence;
import ivrik.core.motion.RandomKey;
import ivrik.core.treatment.Parameter;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.ObjDoubleConsumer;

/** Evaluates what a burst adds to its driven values at one instant. */
final class BurstEvaluator {
    private final Look look;
    private final Burst burst;
    private final Instant instant;
    private final String place;
    private final Set<Integer> differing;
    private final Map<Integer, Occurrence> occurrences = new HashMap<>();

    /**
     * @param place identifies the layer and look, as salt of random values
     */
    BurstEvaluator(Look look, Burst burst, Instant instant, String place) {
        this.look = look;
        this.burst = burst;
        this.instant = instant;
        this.place = place;
        this.differing = burst.envelope().differing();
    }

    void add(ObjDoubleConsumer<Target> sums) {
        if (!burst.on()) {
            return;
        }
        if (differing.isEmpty() && occurrence(Envelope.ALL).share() == 0) {
            return;
        }
        Map<Target, Double> factors = new LinkedHashMap<>();
        for (Drive drive : burst.drives()) {
            factors.merge(drive.target(), drive.factor(), Double::sum);
        }
        factors.keySet().stream()
                .flatMap(t -> XyPair.of(look, t).map(pair -> pair.other(t)).stream())
                .toList()
                .forEach(other -> factors.putIfAbsent(other, 0.0));
        double strength = burst.strength().at(instant);
        factors.forEach(
                (target, factor) -> {
                    Occurrence occurrence = occurrence(target.channel());
                    if (occurrence.share() != 0) {
                        double direction = strength * directed(target, factor, factors, occurrence);
                        sums.accept(target, occurrence.share() * arriving(target, direction));
                    }
                });
    }

    private Occurrence occurrence(int channel) {
        return occurrences.computeIfAbsent(
                differing.contains(channel) ? channel : Envelope.ALL,
                c -> Occurrence.at(burst.anchor(), burst.envelope(), burst.repeat(), instant, c));
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
        Optional<XyPair> pair = XyPair.of(look, target);
        if (pair.isEmpty()) {
            return switch (direction) {
                case AS_SET -> factor;
                case REVERSED -> -factor;
                case FIXED -> 0;
                case RANDOM -> factor * random(target, occurrence);
            };
        }
        double turn = direction == Direction.RANDOM ? 180 * random(target, occurrence) : 0;
        Affine turned = Affine.turned(burst.angleDegrees().at(instant) + turn, 0, 0);
        double other = factors.getOrDefault(pair.get().other(target), 0.0);
        double sign = direction == Direction.FIXED ? 0 : direction == Direction.REVERSED ? -1 : 1;
        // clockwise rotation where y points down: x' = c x - s y, y' = s x + c y
        return sign
                * (pair.get().isX(target)
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
        String what = XyPair.of(look, target).map(XyPair::salt).orElseGet(() -> name(target));
        return Hash.signed(
                draw.at(
                        occurrence.number(),
                        burst.envelope().phase(occurrence.anchorTime(), instant.frame()),
                        Hash.of(what)));
    }

    private String name(Target target) {
        return FormerNames.address(target, look);
    }
}
