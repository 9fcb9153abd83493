package ivrik.core.look;

import ivrik.core.motion.Value;
import ivrik.core.rejoin.Blend;
import ivrik.core.separation.Rgb;
import ivrik.core.treatment.Bloom;
import ivrik.core.treatment.BrightPass;
import ivrik.core.treatment.Halation;
import ivrik.core.treatment.LinearLightConversion;
import ivrik.core.treatment.Parameter;
import ivrik.core.treatment.Treatment;

import java.util.List;

/**
 * Replaces a halation step by its stages as separate steps: to linear light, highlights per channel, blur,
 * add to the picture, and back. An opaque picture stays the same. Around transparent edges the stages glow
 * less, because they blur coverage with the colour.
 */
public final class HalationParts {
    private static final List<String> CHANNELS = List.of("red", "green", "blue");
    private static final double PERCENT = 100;
    private static final Value ALL = Value.of(PERCENT);
    private static final String NAME = "halation-parts";
    private static final String LINEAR = "linear-light-1";
    private static final String HIGHLIGHTS = "bright-pass-1";
    private static final String SPREAD = "bloom-1";
    private static final String BACK = "linear-light-2";

    private HalationParts() {}

    /** Whether a step can be replaced: only the first or the last step of a look. */
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
     * The looks that replace a look with such a step.
     *
     * @param looks in rendering order: the stages, and the look without the step if it has other content
     * @param parts index of the look with the stages
     */
    public record Opened(List<Look> looks, int parts) {
        public Opened {
            looks = List.copyOf(looks);
        }
    }

    /**
     * Replaces a step by its stages. Keyframes stay, and the new look has the same shutter. Dials that drive
     * the step are removed first; where two values with keyframes are multiplied, the keyframes of the
     * strength stay.
     *
     * @param id id of a step that can be replaced
     */
    public static Opened opened(Look look, String id) {
        Look own = look;
        for (Dial dial : look.dials()) {
            for (Dial.Link link : dial.links()) {
                if (link.target().stepId().equals(id)) {
                    own = DialEdits.off(own, dial.name(), link.target());
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
                && look.channels().equals(plain.channels())
                && look.blend().equals(plain.blend())
                && look.overscan().equals(plain.overscan());
    }

    private static Look parts(Step halation) {
        ChannelSettings of = halation.settings(0);
        Value fall = of.value("fall").map(v -> v / PERCENT / (CHANNELS.size() - 1));
        Look look =
                Look.atRest(NAME, new Rgb(), new BrightPass(), new Bloom())
                        .withTitle("Halation, expanded")
                        .withBlend(new LookBlend(Blend.ADD, Value.of(1)))
                        .withStepAdded(
                                0, done(LINEAR, new LinearLightConversion(), Section.PREPARE))
                        .withStepAdded(
                                done(BACK, new LinearLightConversion(), Section.FINISH)
                                        .withChoice(
                                                LinearLightConversion.DIRECTION,
                                                LinearLightConversion.BACK));
        for (int c = 0; c < CHANNELS.size(); c++) {
            int channel = c;
            Value strength = times(of.value("strength"), share(of.value(CHANNELS.get(channel))));
            Value radius = times(of.value("radius"), fall.map(v -> 1 - v * channel));
            look =
                    look.withSettings(HIGHLIGHTS, channel, a -> a.with(Parameter.AMOUNT, ALL))
                            .withSettings(
                                    HIGHLIGHTS,
                                    channel,
                                    a -> a.with("threshold", of.value("threshold")))
                            .withSettings(
                                    SPREAD,
                                    channel,
                                    a ->
                                            a.with(Parameter.AMOUNT, ALL)
                                                    .with("strength", strength)
                                                    .with("radius", radius)
                                                    .with("tail", of.value("tail"))
                                                    .with(
                                                            "conserve-energy",
                                                            of.value("conserve-energy")));
        }
        return look;
    }

    private static Step done(String id, Treatment treatment, Section section) {
        return Step.atRest(id, treatment, section, CHANNELS.size())
                .withChannel(0, a -> a.with(Parameter.AMOUNT, ALL));
    }

    private static Value share(Value percent) {
        return percent.map(v -> v / PERCENT);
    }

    /** The product with the keyframes of the first value, or else those of the second. */
    private static Value times(Value a, Value b) {
        return a.isMoving() ? a.map(v -> v * b.rest()) : b.map(v -> v * a.rest());
    }
}
