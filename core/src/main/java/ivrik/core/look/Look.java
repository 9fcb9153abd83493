package ivrik.core.look;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.UnknownNameException;
import ivrik.core.look.Target.OfChannel;
import ivrik.core.look.Target.OfStep;
import ivrik.core.motion.Value;
import ivrik.core.rejoin.Rejoin;
import ivrik.core.separation.Separation;
import ivrik.core.separation.Separations;
import ivrik.core.treatment.Treatment;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A complete, reusable treatment of a picture:
 * {@code prepare -> separate -> treat each channel -> rejoin -> blend -> finish}.
 *
 * @param name name in files and on the command line
 * @param title name on the screen; empty if it is the same
 * @param tags further words for search
 * @param separation name of the colour model
 * @param order channel indices in stacking order, the lowest first
 * @param steps all treatments in rendering order
 * @param bursts animations relative to anchors
 * @param otherModels settings that this model has no channels for, one look per former model;
 *     {@link ModelChange} restores them
 */
@RecordBuilder
public record Look(
        String name,
        String title,
        String note,
        List<String> tags,
        String separation,
        List<ChannelState> channels,
        List<Integer> order,
        List<Step> steps,
        Rejoin rejoin,
        LookBlend blend,
        Mask mask,
        Overscan overscan,
        Shutter shutter,
        List<Burst> bursts,
        List<Dial> dials,
        List<Look> otherModels)
        implements LookBuilder.With {
    public Look {
        tags = List.copyOf(tags);
        channels = List.copyOf(channels);
        order = List.copyOf(order);
        steps = steps.stream().sorted(Comparator.comparing(Step::section)).toList();
        bursts = List.copyOf(bursts);
        dials = List.copyOf(dials);
        otherModels = List.copyOf(otherModels);
        if (steps.stream().map(Step::id).distinct().count() < steps.size()) {
            throw new IllegalArgumentException("two steps of a look have one id");
        }
    }

    /** A look that separates and rejoins with these treatments at rest. */
    public static Look atRest(String name, Separation separation, Treatment... treatments) {
        int channels = separation.channels().size();
        Look look =
                new Look(
                        name,
                        "",
                        "",
                        List.of(),
                        separation.id(),
                        Collections.nCopies(channels, ChannelState.PLAIN),
                        naturalOrder(channels),
                        List.of(),
                        Rejoin.EXACT,
                        LookBlend.REPLACE,
                        Mask.NONE,
                        Overscan.OFF,
                        Shutter.OFF,
                        List.of(),
                        List.of(),
                        List.of());
        for (Treatment treatment : treatments) {
            look = look.withStepAdded(Step.atRest(look.freeId(treatment), treatment, channels));
        }
        return look;
    }

    /** The name on the screen. */
    public String displayName() {
        return title.isEmpty() ? name : title;
    }

    /** All words for search. */
    public String searchText() {
        return String.join(" ", title, name, note, String.join(" ", tags));
    }

    /** Channel indices in the order of the model. */
    public static List<Integer> naturalOrder(int channels) {
        return IntStream.range(0, channels).boxed().toList();
    }

    public Separation model() {
        return Separations.named(separation);
    }

    /** Whether a channel is in the picture: not muted, and soloed if any channel is. */
    public boolean isShown(int channel) {
        boolean anySolo = channels.stream().anyMatch(ChannelState::solo);
        return !channels.get(channel).mute() && (!anySolo || channels.get(channel).solo());
    }

    /** The steps of a section, in order. */
    public List<Step> steps(Section section) {
        return steps.stream().filter(s -> s.section() == section).toList();
    }

    public Optional<Step> step(String id) {
        return steps.stream().filter(s -> s.id().equals(id)).findFirst();
    }

    /** Index of a step in the list; -1 if there is none of the id. */
    public int number(String id) {
        return IntStream.range(0, steps.size())
                .filter(i -> steps.get(i).id().equals(id))
                .findFirst()
                .orElse(-1);
    }

    /** An unused id for a new step: the treatment's id and the next number. */
    public String freeId(Treatment treatment) {
        return freeId(treatment.description().id() + "-", steps.stream().map(Step::id));
    }

    private static String freeId(String start, Stream<String> taken) {
        int highest =
                taken.filter(id -> id.matches(java.util.regex.Pattern.quote(start) + "\\d{1,8}"))
                        .mapToInt(id -> Integer.parseInt(id.substring(start.length())))
                        .max()
                        .orElse(0);
        return start + (highest + 1);
    }

    public Look withChannel(int channel, UnaryOperator<ChannelState> change) {
        return withChannels(ListEdits.with(channels, channel, change.apply(channels.get(channel))));
    }

    public Look withStep(int number, UnaryOperator<Step> change) {
        return withSteps(ListEdits.with(steps, number, change.apply(steps.get(number))));
    }

    /** The look with a step changed; the same look if there is none of the id. */
    public Look withStep(String id, UnaryOperator<Step> change) {
        int number = number(id);
        return number < 0 ? this : withStep(number, change);
    }

    /** The look with one more step, last in its section. */
    public Look withStepAdded(Step step) {
        return withStepAdded(steps.size(), step);
    }

    /** The look with one more step, inserted at an index or as near as its section allows. */
    public Look withStepAdded(int at, Step step) {
        List<Step> more = new ArrayList<>(steps);
        more.add(at, step);
        return withSteps(more);
    }

    /**
     * The look with a step moved to another section; dials and bursts follow.
     *
     * @param channel provides the settings if several channels become one picture
     */
    public Look withStepIn(Section section, String id, int channel) {
        int count = channels.size();
        return withStep(id, s -> s.inSection(section, count, channel))
                .driving(
                        t ->
                                switch (t) {
                                    case OfChannel of when of.step().equals(id) ->
                                            section == Section.CHANNELS
                                                    ? Stream.of(of)
                                                    : of.channel() == channel
                                                            ? Stream.of(
                                                                    new OfStep(id, of.parameter()))
                                                            : Stream.empty();
                                    case OfStep of when of.step().equals(id) ->
                                            section != Section.CHANNELS
                                                    ? Stream.of(of)
                                                    : IntStream.range(0, count)
                                                            .mapToObj(
                                                                    i ->
                                                                            new OfChannel(
                                                                                    id,
                                                                                    i,
                                                                                    of
                                                                                            .parameter()));
                                    default -> Stream.of(t);
                                });
    }

    /** The look without a step and without the drives of the step. */
    public Look withoutStep(String id) {
        return withSteps(steps.stream().filter(s -> !s.id().equals(id)).toList())
                .driving(t -> t.stepId().equals(id) ? Stream.empty() : Stream.of(t));
    }

    /** The look with the targets of dials and bursts replaced by others. */
    Look driving(Function<Target, Stream<Target>> instead) {
        return withDials(dials.stream().map(d -> d.driving(instead)).toList())
                .withBursts(bursts.stream().map(b -> b.driving(instead)).toList());
    }

    public Optional<Burst> burst(String id) {
        return bursts.stream().filter(b -> b.id().equals(id)).findFirst();
    }

    /** An unused id for a new burst. */
    public String freeBurstId() {
        return freeId("burst-", bursts.stream().map(Burst::id));
    }

    /** The look with a burst added, or replaced if the id exists. */
    public Look withBurst(Burst burst) {
        return withBursts(
                burst(burst.id()).isPresent()
                        ? bursts.stream().map(b -> b.id().equals(burst.id()) ? burst : b).toList()
                        : ListEdits.plus(bursts, burst));
    }

    /** The look with a burst changed; the same look if there is none of the id. */
    public Look withBurst(String id, UnaryOperator<Burst> change) {
        return burst(id).map(b -> withBurst(change.apply(b))).orElse(this);
    }

    /** The look without a burst and without the drives of the burst. */
    public Look withoutBurst(String id) {
        return withBursts(bursts.stream().filter(b -> !b.id().equals(id)).toList())
                .driving(
                        t ->
                                t instanceof Target.OfBurst of && of.burst().equals(id)
                                        ? Stream.empty()
                                        : Stream.of(t));
    }

    /** The look with a step moved to an index. */
    public Look withStepMoved(String id, int to) {
        List<Step> moved = new ArrayList<>(steps);
        Step step = moved.remove(number(id));
        moved.add(to, step);
        return withSteps(moved);
    }

    public Look withSettings(int step, int channel, UnaryOperator<ChannelSettings> change) {
        return withStep(step, s -> s.withChannel(channel, change));
    }

    public Look withSettings(String step, int channel, UnaryOperator<ChannelSettings> change) {
        return withStep(step, s -> s.withChannel(channel, change));
    }

    public Dial dial(String dial) {
        return UnknownNameException.find("dial of the look " + name, dial, dials, Dial::name);
    }

    /**
     * The look with a dial set to a constant value.
     *
     * @throws UnknownNameException if there is no such dial
     * @throws DialRangeException if the value is outside the dial's range
     */
    public Look withDial(String dial, double value) {
        Dial found = dial(dial);
        if (!(value >= found.min() && value <= found.max())) {
            throw new DialRangeException(found, value);
        }
        Dial changed = found.withValue(Value.of(value));
        return withDials(dials.stream().map(d -> d.name().equals(dial) ? changed : d).toList());
    }

    /** The look with all randomness drawn from a seed. */
    public Look withSeed(long seed) {
        return withSteps(
                        steps.stream()
                                .map(
                                        step ->
                                                step.withChannels(
                                                        step.channels().stream()
                                                                .map(a -> a.seeded(seed))
                                                                .toList()))
                                .toList())
                .withBursts(bursts.stream().map(b -> b.withSeed(seed)).toList());
    }
}
