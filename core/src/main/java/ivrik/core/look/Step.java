package ivrik.core.look;

import ivrik.core.picture.EdgeFill;
import ivrik.core.picture.Sampler;
import ivrik.core.treatment.Option;
import ivrik.core.treatment.Treatment;
import ivrik.core.treatment.Treatments;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.UnaryOperator;

/**
 * One treatment in a look: which, whether it is on, how it looks outside, and each lane's amounts.
 *
 * @param words what is chosen of the treatment's options, by their names; the rest where none is
 * @param picture the id of the source that the treatment uses; empty for none
 */
public record Step(
        String treatment,
        boolean on,
        EdgeFill edgeFill,
        Sampler sampler,
        Map<String, String> words,
        String picture,
        List<Amounts> lanes) {
    public Step {
        words = Collections.unmodifiableSortedMap(new TreeMap<>(words == null ? Map.of() : words));
        picture = picture == null ? "" : picture;
        lanes = List.copyOf(lanes);
    }

    public static Step atRest(Treatment treatment, int lanes) {
        return new Step(
                treatment.description().id(),
                true,
                EdgeFill.REPEAT,
                Sampler.GOOD,
                Map.of(),
                "",
                Collections.nCopies(lanes, Amounts.atRest(treatment.description())));
    }

    /** With amounts that show the treatment off. */
    public static Step shownOff(Treatment treatment, int lanes) {
        Step step = atRest(treatment, lanes);
        for (int lane = 0; lane < lanes; lane++) {
            int number = lane;
            step =
                    step.withLane(
                            lane, a -> Amounts.shownOff(treatment.description(), number, lanes));
        }
        return step;
    }

    public Treatment kind() {
        return Treatments.named(treatment);
    }

    /** The chosen word of an option. */
    public String word(Option option) {
        return words.getOrDefault(option.name(), option.rest());
    }

    public Step withLane(int lane, UnaryOperator<Amounts> change) {
        return withLanes(Lists.with(lanes, lane, change.apply(lanes.get(lane))));
    }

    public Step withLanes(List<Amounts> l) {
        return new Step(treatment, on, edgeFill, sampler, words, picture, l);
    }

    public Step withOn(boolean o) {
        return new Step(treatment, o, edgeFill, sampler, words, picture, lanes);
    }

    public Step withEdgeFill(EdgeFill fill) {
        return new Step(treatment, on, fill, sampler, words, picture, lanes);
    }

    public Step withSampler(Sampler s) {
        return new Step(treatment, on, edgeFill, s, words, picture, lanes);
    }

    public Step withWord(Option option, String word) {
        Map<String, String> changed = new TreeMap<>(words);
        changed.put(option.name(), word);
        return new Step(treatment, on, edgeFill, sampler, changed, picture, lanes);
    }

    public Step withPicture(String source) {
        return new Step(treatment, on, edgeFill, sampler, words, source, lanes);
    }
}
