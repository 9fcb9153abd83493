package ivrik.core.look;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.colour.ColourTable;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;
import ivrik.core.treatment.LookupTable;
import ivrik.core.treatment.Option;
import ivrik.core.treatment.Treatment;
import ivrik.core.treatment.Treatments;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.UnaryOperator;

/**
 * One treatment in a look: which, where on the road, whether it is on, how it looks outside, and the
 * amounts of each lane, or one for the whole picture.
 *
 * @param id names it in its look for as long as it is there, wherever it is moved
 * @param bySeed whether what is random about it comes from its seeds alone, so that another step of the
 *     same seed is alike
 * @param words what is chosen of the treatment's options, by their names; the first where none is
 * @param picture the id of the source that the treatment uses; empty for none
 * @param table of colours that it brings along
 * @param measured a mark of what its amounts were measured of; empty where they were not
 * @param lanes of a treatment of whole pictures, one
 */
@RecordBuilder
public record Step(
        String id,
        String treatment,
        Section section,
        boolean on,
        EdgeFill edgeFill,
        Sampler sampler,
        boolean bySeed,
        Map<String, String> words,
        String picture,
        Optional<ColourTable> table,
        String measured,
        List<Amounts> lanes)
        implements StepBuilder.With {
    public Step {
        words = Collections.unmodifiableSortedMap(new TreeMap<>(words));
        lanes = List.copyOf(lanes);
    }

    /**
     * A treatment that does nothing yet, where it is usually done.
     *
     * @param lanes how many lanes its look has
     */
    public static Step atRest(String id, Treatment treatment, int lanes) {
        return atRest(id, treatment, Section.usual(treatment), lanes);
    }

    /**
     * A treatment that does nothing yet.
     *
     * @param lanes how many lanes its look has
     */
    public static Step atRest(String id, Treatment treatment, Section section, int lanes) {
        boolean whole = section != Section.LANES;
        return new Step(
                id,
                treatment.description().id(),
                section,
                true,
                treatment.usualEdgeFill(),
                Sampler.CUBIC,
                false,
                Map.of(),
                "",
                Optional.empty(),
                "",
                Collections.nCopies(whole ? 1 : lanes, Amounts.atRest(treatment.description())));
    }

    /** With amounts that show the treatment off. */
    public static Step shownOff(String id, Treatment treatment, int lanes) {
        Step step = atRest(id, treatment, lanes);
        int count = step.lanes().size();
        for (int lane = 0; lane < count; lane++) {
            int number = lane;
            step =
                    step.withLane(
                            lane, a -> Amounts.shownOff(treatment.description(), number, count));
        }
        return step;
    }

    public Treatment kind() {
        return Treatments.named(treatment);
    }

    /** Whether it is done to the whole picture. */
    public boolean isWhole() {
        return section != Section.LANES;
    }

    /** The amounts of a lane; those of the picture if it is done to the whole. */
    public Amounts amounts(int lane) {
        return lanes.get(isWhole() ? 0 : lane);
    }

    /** The chosen word of an option. */
    public String word(Option option) {
        return words.getOrDefault(option.name(), option.rest());
    }

    /**
     * Done elsewhere on the road. Where lanes become one, one of them gives its amounts; where one becomes
     * lanes, all are alike.
     *
     * @param count how many lanes the look has
     * @param lane which gives its amounts
     */
    Step inSection(Section other, int count, int lane) {
        boolean one = other != Section.LANES;
        return withSection(other).withLanes(Collections.nCopies(one ? 1 : count, amounts(lane)));
    }

    /** With other amounts of a lane, or of the picture. */
    public Step withLane(int lane, UnaryOperator<Amounts> change) {
        int number = isWhole() ? 0 : lane;
        return withLanes(Lists.with(lanes, number, change.apply(lanes.get(number))));
    }

    /** With a table of its own, which is chosen. */
    public Step withOwnTable(ColourTable own) {
        return withTable(Optional.of(own)).withWord(LookupTable.TABLE, LookupTable.OWN);
    }

    public Step withWord(Option option, String word) {
        Map<String, String> changed = new TreeMap<>(words);
        changed.put(option.name(), word);
        return withWords(changed);
    }
}
