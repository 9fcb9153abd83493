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
 * lane, that spread, added to the picture, and back. It shows the same picture.
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
     * The looks that take the place of one with such a step: the look without it and a look of its parts,
     * in the order in which they are done; the parts alone where nothing else is in the look. Values with
     * pegs keep them. Dials that drive the step come off it first; where two values that are multiplied
     * both have pegs, those of the strength stay.
     *
     * @param id of a step that can be opened
     */
    public static List<Look> opened(Look look, String id) {
        Look own = look;
        for (Dial dial : look.dials()) {
            for (Dial.Link link : dial.links()) {
                if (link.target().stepId().equals(id)) {
                    own = Dialling.off(own, dial.name(), link.target());
                }
            }
        }
        Step step = own.step(id).orElseThrow();
        Look parts = parts(step);
        Look rest = own.withoutStep(id);
        Look plain = Look.atRest("", rest.model());
        if (rest.steps().isEmpty()
                && rest.lanes().equals(plain.lanes())
                && rest.onto().equals(plain.onto())) {
            return List.of(parts);
        }
        return isFirst(look, id) ? List.of(parts, rest) : List.of(rest, parts);
    }

    /** Of what was opened, the look of the parts. */
    public static boolean areParts(Look look) {
        return look.name().equals(NAME);
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
