package ivrik.core.look;

import ivrik.core.filter.Affine;
import ivrik.core.look.Burst.Drive;
import ivrik.core.look.Burst.Way;
import ivrik.core.look.Target.OfLane;
import ivrik.core.look.Target.OfStep;
import ivrik.core.motion.Coming;
import ivrik.core.motion.Draw;
import ivrik.core.motion.Hash;
import ivrik.core.motion.Instant;
import ivrik.core.treatment.Parameter;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.ObjDoubleConsumer;

/** What a burst adds to the values it drives at one instant. */
final class Bursts {
    private final Look look;
    private final Burst burst;
    private final Instant instant;
    private final String place;

    /**
     * @param place names where the look lies, so that what is random differs from place to place
     */
    Bursts(Look look, Burst burst, Instant instant, String place) {
        this.look = look;
        this.burst = burst;
        this.instant = instant;
        this.place = place;
    }

    void add(ObjDoubleConsumer<Target> sums) {
        if (!burst.on()) {
            return;
        }
        Coming coming = Coming.at(burst.anchor(), burst.course(), burst.repeat(), instant);
        if (coming.share() == 0) {
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
                    double way = strength * directed(target, factor, factors, coming);
                    sums.accept(target, coming.share() * arriving(target, way));
                });
    }

    /** What goes somewhere for good where whole numbers are as good as rest, goes by a whole number. */
    private double arriving(Target target, double way) {
        boolean round =
                burst.course().remains() != 0
                        && Targets.range(look, target).filter(Parameter::comesRound).isPresent();
        return round ? Math.rint(way) : way;
    }

    private double directed(
            Target target, double factor, Map<Target, Double> factors, Coming coming) {
        Way way = way(target);
        Optional<Partner> partner = Partner.of(look, target);
        if (partner.isEmpty()) {
            return switch (way) {
                case AHEAD -> factor;
                case OPPOSED -> -factor;
                case STILL -> 0;
                case RANDOM -> factor * random(target, coming);
            };
        }
        double turn = way == Way.RANDOM ? 180 * random(target, coming) : 0;
        Affine turned = Affine.turned(burst.angleDegrees().at(instant) + turn, 0, 0);
        double other = factors.getOrDefault(partner.get().target(), 0.0);
        double sign = way == Way.STILL ? 0 : way == Way.OPPOSED ? -1 : 1;
        // Clockwise on a picture whose y points down: x' = c x - s y, y' = s x + c y.
        return sign
                * (partner.get().isAcross()
                        ? turned.xx() * factor + turned.yx() * other
                        : turned.xy() * other + turned.yy() * factor);
    }

    private Way way(Target target) {
        int lane = target.lane();
        return lane < 0 || lane >= burst.ways().size() ? Way.AHEAD : burst.ways().get(lane);
    }

    /** In -1..1, another number for each phase of each coming; of a pair the same for both. */
    private double random(Target target, Coming coming) {
        Draw draw =
                new Draw(burst.seed(), Draw.origin(instant.roll(), place, "burst/" + burst.id()));
        String what = Partner.of(look, target).map(Partner::both).orElseGet(() -> name(target));
        return Hash.signed(
                draw.at(
                        coming.number(),
                        burst.course().phase(coming.axis(), instant.frame()),
                        Hash.of(what)));
    }

    private String name(Target target) {
        return target.address(look.model());
    }

    /**
     * The other of two values of one step in one lane that move across and down together.
     *
     * @param both names the two
     * @param isAcross whether the one asked about is the one that moves across
     */
    private record Partner(Target target, String both, boolean isAcross) {
        static Optional<Partner> of(Look look, Target target) {
            return switch (target) {
                case OfLane t ->
                        other(look, t.step(), t.parameter())
                                .map(o -> new OfLane(t.step(), t.lane(), o))
                                .map(o -> of(o, t.step() + "/" + t.lane(), t.parameter()));
                case OfStep t ->
                        other(look, t.step(), t.parameter())
                                .map(o -> new OfStep(t.step(), o))
                                .map(o -> of(o, t.step(), t.parameter()));
                case Target.OfPlace t ->
                        t.part().equals("x") || t.part().equals("y")
                                ? Optional.of(
                                        of(
                                                new Target.OfPlace(
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
