package ivrik.core.look;

import ivrik.core.motion.Value;
import ivrik.core.rejoin.Blend;
import ivrik.core.separation.Rgb;
import ivrik.core.treatment.Halation;
import ivrik.core.treatment.Highlights;
import ivrik.core.treatment.LinearLight;
import ivrik.core.treatment.Parameter;
import ivrik.core.treatment.SpreadLight;
import ivrik.core.treatment.Treatment;

import java.util.List;

/**
 * A halation as the parts that it is made of, each open to change: to linear light, what is bright in each
 * lane, that spread, added to the picture, and back. An opaque picture looks the same; about a title the parts
 * glow less, as they spread coverage where the whole covers as much as it shines.
 */
public final class HalationParts {
    private static final List<String> CHANNELS = List.of("red", "green", "blue");
    private static final double PERCENT = 100;
    private static final Value ALL = Value.of(PERCENT);
    private static final String NAME = "halation-parts";
    private static final String LINEAR = "linear-light-1";
    private static final String HIGHLIGHTS = "highlights-1";
    private static final String SPREAD = "spread-light-1";
    private static final String BACK = "linear-light-2";

    private HalationParts() {}

    /** Whether a step is one that can be opened where it stands: first or last of all in its look. */
    public static boolean canOpen(Look look, String id) {
        return look.step(id).filter(s -> s.kind() instanceof Halation).isPresent()
                && (isFirst(look, id) || isLast(look, id));
    }

    private static boolean isFirst(Look look, String id) {
        List<Step> prepare = look.steps(Section.PREPARE);
        return !prepare.isEmpty() && prepare.getFirst().id().equals(id);
    }

    private static boolean isLast(Look look, String id) {
        List<Step> finish = look.steps(Section.FINISH);
        return !finish.isEmpty() && finish.getLast().id().equals(id);
    }

    /**
     * What takes the place of a look with such a step.
     *
     * @param looks in the order in which they are done: the parts, and the look without the step where anything
     *     else is in it
     * @param parts the number of the look of the parts among them
     */
    public record Opened(List<Look> looks, int parts) {
        public Opened {
            looks = List.copyOf(looks);
        }
    }

    /**
     * A look opened. Values with pegs keep them, and the parts see each frame as long as the look did. Dials
     * that drive the step come off it first; where two values that are multiplied both have pegs, those of
     * the strength stay.
     *
     * @param id of a step that can be opened
     */
    public static Opened opened(Look look, String id) {
        Look own = look;
        for (Dial dial : look.dials()) {
            for (Dial.Link link : dial.links()) {
                if (link.target().stepId().equals(id)) {
                    own = Dialling.off(own, dial.name(), link.target());
                }
            }
        }
        Look parts = parts(own.step(id).orElseThrow()).withShutter(look.shutter());
        Look rest = own.withoutStep(id);
        if (doesNothing(rest)) {
            return new Opened(List.of(parts), 0);
        }
        return isFirst(look, id)
                ? new Opened(List.of(parts, rest), 0)
                : new Opened(List.of(rest, parts), 1);
    }

    private static boolean doesNothing(Look look) {
        Look plain = Look.atRest("", look.model());
        return look.steps().isEmpty()
                && look.lanes().equals(plain.lanes())
                && look.onto().equals(plain.onto())
                && look.overscan().equals(plain.overscan());
    }

    private static Look parts(Step halation) {
        Amounts of = halation.amounts(0);
        Value fall = of.value("fall").map(v -> v / PERCENT / (CHANNELS.size() - 1));
        Look look =
                Look.atRest(NAME, new Rgb(), new Highlights(), new SpreadLight())
                        .withTitle("Halation, opened")
                        .withOnto(new Onto(Blend.ADD, Value.of(1)))
                        .withStepAdded(0, done(LINEAR, new LinearLight(), Section.PREPARE))
                        .withStepAdded(
                                done(BACK, new LinearLight(), Section.FINISH)
                                        .withWord(LinearLight.WAY, LinearLight.BACK));
        for (int c = 0; c < CHANNELS.size(); c++) {
            int lane = c;
            Value strength = times(of.value("strength"), share(of.value(CHANNELS.get(lane))));
            Value radius = times(of.value("radius"), fall.map(v -> 1 - v * lane));
            look =
                    look.withAmounts(HIGHLIGHTS, lane, a -> a.with(Parameter.AMOUNT, ALL))
                            .withAmounts(
                                    HIGHLIGHTS,
                                    lane,
                                    a -> a.with("threshold", of.value("threshold")))
                            .withAmounts(
                                    SPREAD,
                                    lane,
                                    a ->
                                            a.with(Parameter.AMOUNT, ALL)
                                                    .with("strength", strength)
                                                    .with("radius", radius)
                                                    .with("tail", of.value("tail"))
                                                    .with("keep", of.value("keep")));
        }
        return look;
    }

    private static Step done(String id, Treatment treatment, Section section) {
        return Step.atRest(id, treatment, section, CHANNELS.size())
                .withLane(0, a -> a.with(Parameter.AMOUNT, ALL));
    }

    private static Value share(Value percent) {
        return percent.map(v -> v / PERCENT);
    }

    /** The pegs of the first are kept; else those of the second. */
    private static Value times(Value a, Value b) {
        return a.isMoving() ? a.map(v -> v * b.rest()) : b.map(v -> v * a.rest());
    }
}
