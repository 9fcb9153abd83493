package ivrik.core.look;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.colour.ColourTable;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;
import ivrik.core.treatment.Description;
import ivrik.core.treatment.LookupTable;
import ivrik.core.treatment.Option;
import ivrik.core.treatment.Trait;
import ivrik.core.treatment.Treatment;
import ivrik.core.treatment.Treatments;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.UnaryOperator;

/**
 * One treatment in a look: its section, its options and its settings for each channel, or for the whole
 * picture.
 *
 * @param id unique in its look and stable, also when the step is moved
 * @param bySeed whether randomness depends only on the seeds, so that steps with equal seeds share a pattern
 * @param choices chosen words of the treatment's options, by option; the first word is the default
 * @param picture id of the source that the treatment uses; empty for none
 * @param table the step's own colour table
 * @param measured hash of what was measured for the settings; empty if they were not measured
 * @param channels one element if the step treats the whole picture
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
        Map<String, String> choices,
        String picture,
        Optional<ColourTable> table,
        String measured,
        List<ChannelSettings> channels)
        implements StepBuilder.With {
    public Step {
        choices = Collections.unmodifiableSortedMap(new TreeMap<>(choices));
        channels = List.copyOf(channels);
    }

    /**
     * A treatment without effect, in its default section.
     *
     * @param channels number of channels of the look
     */
    public static Step atRest(String id, Treatment treatment, int channels) {
        return atRest(id, treatment, Section.usual(treatment), channels);
    }

    /**
     * A treatment without effect.
     *
     * @param channels number of channels of the look
     */
    public static Step atRest(String id, Treatment treatment, Section section, int channels) {
        boolean whole = section != Section.CHANNELS;
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
                Collections.nCopies(
                        whole ? 1 : channels, ChannelSettings.atRest(treatment.description())));
    }

    /**
     * A new treatment of one channel: an example value shows its effect there, other channels are at rest. A
     * grading treatment is at rest everywhere.
     *
     * @param channels number of channels of the look
     * @param channel the treated channel; without effect for a treatment of the whole picture
     */
    public static Step ofChannel(String id, Treatment treatment, int channels, int channel) {
        Step step = atRest(id, treatment, channels);
        return step.startsAtRest() ? step : step.withChannel(channel, a -> step.example());
    }

    /** As {@link #ofChannel}, with equal settings in all channels. */
    public static Step ofAllChannels(String id, Treatment treatment, int channels) {
        Step step = atRest(id, treatment, channels);
        return step.startsAtRest()
                ? step
                : step.withChannels(Collections.nCopies(step.channels().size(), step.example()));
    }

    private boolean startsAtRest() {
        return kind().description().is(Trait.GRADES);
    }

    private ChannelSettings example() {
        Description description = kind().description();
        return ChannelSettings.atRest(description).withExample(description, 0, 1);
    }

    /** A treatment with settings that show its effect in each channel. */
    public static Step withExampleSettings(String id, Treatment treatment, int channels) {
        return atRest(id, treatment, channels).withExampleSettings();
    }

    /** The step with settings that show its effect in each channel. */
    public Step withExampleSettings() {
        Step step = this;
        int count = channels.size();
        for (int channel = 0; channel < count; channel++) {
            int number = channel;
            step =
                    step.withChannel(
                            channel, a -> a.withExample(kind().description(), number, count));
        }
        return step;
    }

    public Treatment kind() {
        return Treatments.named(treatment);
    }

    /** Whether the step treats the whole picture. */
    public boolean isWhole() {
        return section != Section.CHANNELS;
    }

    /** The settings of a channel, or of the whole picture. */
    public ChannelSettings settings(int channel) {
        return channels.get(isWhole() ? 0 : channel);
    }

    /** The chosen word of an option. */
    public String choice(Option option) {
        return choices.getOrDefault(option.name(), option.rest());
    }

    /**
     * The step in another section. If several channels become one picture, one of them provides the settings;
     * if one becomes several, all get the same.
     *
     * @param count number of channels of the look
     * @param channel provides the settings
     */
    Step inSection(Section other, int count, int channel) {
        boolean one = other != Section.CHANNELS;
        return withSection(other)
                .withChannels(Collections.nCopies(one ? 1 : count, settings(channel)));
    }

    /** The step with the settings of a channel, or of the whole picture, changed. */
    public Step withChannel(int channel, UnaryOperator<ChannelSettings> change) {
        int number = isWhole() ? 0 : channel;
        return withChannels(ListEdits.with(channels, number, change.apply(channels.get(number))));
    }

    /** The step with an own colour table, which is chosen. */
    public Step withOwnTable(ColourTable own) {
        return withTable(Optional.of(own)).withChoice(LookupTable.TABLE, LookupTable.OWN);
    }

    public Step withChoice(Option option, String choice) {
        Map<String, String> changed = new TreeMap<>(choices);
        changed.put(option.name(), choice);
        return withChoices(changed);
    }
}
