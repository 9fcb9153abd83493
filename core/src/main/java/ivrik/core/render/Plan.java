package ivrik.core.render;

import ivrik.core.picture.Size;
import ivrik.core.project.Source;
import ivrik.core.rejoin.Blend;
import ivrik.core.rejoin.Rejoin;
import ivrik.core.treatment.Settings;

import java.util.List;

/**
 * All that one frame depends on, as plain numbers without time. Two equal plans have the same
 * pixels, so a plan is also the key under which its frame is cached: an edit that does not touch a
 * frame leaves its plan equal.
 *
 * @param size of the sequence, full size
 * @param layers those visible here, from the lowest up
 */
public record Plan(Size size, List<LayerPlan> layers) {
    /** A frame of a source. */
    public record Picture(Source source, long frame) {}

    /** One layer: its picture, what is done to it, and how it lies on those beneath. */
    public record LayerPlan(Picture picture, LookPlan look, Blend blend, double opacity) {}

    /**
     * A look at one moment.
     *
     * @param shown for each lane whether it is in the picture
     * @param steps those that change something, in order
     * @param ontoAmount 0..1
     */
    public record LookPlan(
            String separation,
            List<Boolean> shown,
            List<StepPlan> steps,
            Rejoin rejoin,
            Blend onto,
            double ontoAmount) {
        /** Whether the picture goes through untouched. */
        public boolean isNeutral() {
            return steps.isEmpty()
                            && !shown.contains(false)
                            && onto == Blend.NORMAL
                            && rejoin == Rejoin.EXACT
                    || ontoAmount == 0;
        }
    }

    /** A treatment with each lane's settings; null where the lane is left alone. */
    public record StepPlan(String treatment, List<Settings> lanes) {}

    /** The same plan without any look: the source as it came in. */
    public Plan untouched() {
        return new Plan(
                size,
                layers.stream()
                        .map(
                                l ->
                                        new LayerPlan(
                                                l.picture,
                                                new LookPlan(
                                                        l.look.separation,
                                                        l.look.shown.stream()
                                                                .map(s -> true)
                                                                .toList(),
                                                        List.of(),
                                                        Rejoin.EXACT,
                                                        Blend.NORMAL,
                                                        0),
                                                l.blend,
                                                l.opacity))
                        .toList());
    }
}
