package ivrik.core.look;

import ivrik.core.look.Target.OfBurst;
import ivrik.core.look.Target.OfLane;
import ivrik.core.look.Target.OfStep;
import ivrik.core.motion.Instant;
import ivrik.core.motion.Value;

import java.util.HashMap;
import java.util.Map;

/** What the dials and bursts of a look add to its values at one instant. */
public final class Driven {
    private final Map<Target, Double> sums = new HashMap<>();

    private Driven() {}

    /**
     * @param place names where the look lies, so that what is random differs from place to place
     */
    public static Driven at(Look look, Instant instant, String place) {
        Driven driven = new Driven();
        for (Dial dial : look.dials()) {
            for (Dial.Link link : dial.links()) {
                if (isChosen(look, link)) {
                    double at = followed(dial, link).at(instant);
                    driven.sums.merge(link.target(), link.added(at, dial.rest()), Double::sum);
                }
            }
        }
        for (Burst burst : look.bursts()) {
            Burst timed =
                    BurstParts.driven(burst, part -> driven.to(new OfBurst(burst.id(), part)));
            new Bursts(look, timed, instant, place)
                    .add((target, more) -> driven.sums.merge(target, more, Double::sum));
        }
        return driven;
    }

    /** What one link of a dial adds, which moves as its dial does. */
    static Value added(Look look, Dial dial, Dial.Link link) {
        return isChosen(look, link)
                ? followed(dial, link).map(v -> link.added(v, dial.rest()))
                : Value.ZERO;
    }

    /** A rate does not move: it goes by what the dial is without its pegs. */
    private static Value followed(Dial dial, Dial.Link link) {
        return isRate(link.target()) ? Value.of(dial.value().rest()) : dial.value();
    }

    private static boolean isRate(Target target) {
        return switch (target) {
            case OfLane of -> of.parameter().equals(OfLane.JITTER_RATE);
            case OfStep of -> of.parameter().equals(OfLane.JITTER_RATE);
            default -> false;
        };
    }

    private static boolean isChosen(Look look, Dial.Link link) {
        return link.only() == null
                || look.dials().stream()
                        .filter(d -> d.name().equals(link.only().dial()))
                        .allMatch(d -> Math.rint(d.value().rest()) == link.only().value());
    }

    /** Whether nothing is driven. */
    public boolean isNothing() {
        return sums.isEmpty();
    }

    /** What is added to the value of a target. */
    public double to(Target target) {
        return sums.getOrDefault(target, 0.0);
    }
}
