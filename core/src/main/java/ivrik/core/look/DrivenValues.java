package ivrik.core.look;

import ivrik.core.look.Target.OfBurst;
import ivrik.core.look.Target.OfChannel;
import ivrik.core.look.Target.OfStep;
import ivrik.core.motion.Instant;
import ivrik.core.motion.Value;

import java.util.HashMap;
import java.util.Map;

/** What the dials and bursts of a look add to its values at one instant. */
public final class DrivenValues {
    private final Map<Target, Double> sums = new HashMap<>();

    private DrivenValues() {}

    /**
     * @param place identifies the layer and look, as salt of random values
     */
    public static DrivenValues at(Look look, Instant instant, String place) {
        DrivenValues driven = new DrivenValues();
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
                    BurstParameters.driven(burst, part -> driven.to(new OfBurst(burst.id(), part)));
            new BurstEvaluator(look, timed, instant, place)
                    .add((target, more) -> driven.sums.merge(target, more, Double::sum));
        }
        return driven;
    }

    /** What one link of a dial adds over time. */
    static Value added(Look look, Dial dial, Dial.Link link) {
        return isChosen(look, link)
                ? followed(dial, link).map(v -> link.added(v, dial.rest()))
                : Value.ZERO;
    }

    /** Rates are not animated: they follow the dial without its keyframes. */
    private static Value followed(Dial dial, Dial.Link link) {
        return isRate(link.target()) ? Value.of(dial.value().rest()) : dial.value();
    }

    private static boolean isRate(Target target) {
        return switch (target) {
            case OfChannel of -> of.parameter().equals(OfChannel.JITTER_RATE);
            case OfStep of -> of.parameter().equals(OfChannel.JITTER_RATE);
            default -> false;
        };
    }

    private static boolean isChosen(Look look, Dial.Link link) {
        return link.condition() == null
                || look.dials().stream()
                        .filter(d -> d.name().equals(link.condition().dial()))
                        .allMatch(d -> Math.rint(d.value().rest()) == link.condition().value());
    }

    /** Whether no value is driven. */
    public boolean isNothing() {
        return sums.isEmpty();
    }

    /** The sum added to a target. */
    public double to(Target target) {
        return sums.getOrDefault(target, 0.0);
    }
}
