package ivrik.core.look;

import ivrik.core.look.Target.OfBurst;
import ivrik.core.look.Target.OfChannel;
import ivrik.core.look.Target.OfChannelSource;
import ivrik.core.look.Target.OfDial;
import ivrik.core.look.Target.OfMask;
import ivrik.core.look.Target.OfOpacity;
import ivrik.core.look.Target.OfOption;
import ivrik.core.look.Target.OfPlacement;
import ivrik.core.look.Target.OfShutter;
import ivrik.core.look.Target.OfStep;
import ivrik.core.look.Target.OfStrength;
import ivrik.core.motion.Envelope;
import ivrik.core.motion.PeakEnvelope;
import ivrik.core.separation.ChannelKind;
import ivrik.core.separation.Separation;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A look converted to another colour model. The settings of a channel move to the channel with the same role;
 * other settings are kept in {@link Look#otherModels} and return with their model.
 *
 * @param look the look in the new model
 * @param kept titles of the channels and dials that the new model has no role for
 */
public record ModelChange(Look look, List<String> kept) {
    public ModelChange {
        kept = List.copyOf(kept);
    }

    public static ModelChange of(Look old, Separation model) {
        ModelChange change = moved(old, model);
        if (OtherModel.isSame(old, change.look)) {
            return change; // only its parameters differ
        }
        Look there = OtherModel.restored(old, change.look);
        boolean isWhole = moved(change.look, old.model()).look.equals(old);
        return new ModelChange(isWhole ? there : OtherModel.keeping(there, old), change.kept);
    }

    /** The look with the settings of counterparts only. */
    private static ModelChange moved(Look old, Separation model) {
        List<ChannelKind> before = old.model().channels();
        List<ChannelKind> after = model.channels();
        int[] from = after.stream().mapToInt(k -> counterpart(k, before)).toArray();
        List<Step> steps = old.steps().stream().map(s -> moved(s, from)).toList();
        List<ChannelState> channels =
                IntStream.of(from)
                        .mapToObj(
                                i ->
                                        i < 0
                                                ? ChannelState.PLAIN
                                                : old.channels()
                                                        .get(i)
                                                        .withInk(java.util.Optional.empty()))
                        .toList();
        List<String> kept = new ArrayList<>();
        for (int i = 0; i < before.size(); i++) {
            int channel = i;
            boolean hasCounterpart = IntStream.of(from).anyMatch(f -> f == channel);
            if (!hasCounterpart && isTouched(old, channel)) {
                kept.add(before.get(channel).title());
            }
        }
        List<Dial> dials = new ArrayList<>();
        for (Dial dial : old.dials()) {
            Dial there = dial.driving(t -> moved(t, from));
            if (there.links().isEmpty() && !dial.links().isEmpty()) {
                kept.add("the dial " + dial.title());
            } else {
                dials.add(there);
            }
        }
        Look look =
                old.with(
                        l ->
                                l.separation(model.id())
                                        .channels(channels)
                                        .order(Look.naturalOrder(after.size()))
                                        .steps(steps)
                                        .bursts(
                                                old.bursts().stream()
                                                        .map(b -> moved(b, from))
                                                        .toList())
                                        .dials(dials));
        return new ModelChange(look, kept);
    }

    static int counterpart(ChannelKind kind, List<ChannelKind> among) {
        return IntStream.range(0, among.size())
                .filter(i -> among.get(i).role() == kind.role())
                .findFirst()
                .orElse(-1);
    }

    private static boolean isTouched(Look look, int channel) {
        return !look.channels().get(channel).equals(ChannelState.PLAIN)
                || look.steps(Section.CHANNELS).stream()
                        .anyMatch(
                                s ->
                                        !s.channels()
                                                .get(channel)
                                                .equals(
                                                        ChannelSettings.atRest(
                                                                s.kind().description())));
    }

    private static Step moved(Step step, int[] from) {
        if (step.isWhole()) {
            return step;
        }
        ChannelSettings rest = ChannelSettings.atRest(step.kind().description());
        return step.withChannels(
                IntStream.of(from).mapToObj(i -> i < 0 ? rest : step.channels().get(i)).toList());
    }

    private static Burst moved(Burst burst, int[] from) {
        return burst.driving(t -> moved(t, from))
                .withDirections(
                        IntStream.of(from)
                                .mapToObj(
                                        i ->
                                                i < 0 || i >= burst.directions().size()
                                                        ? Burst.Direction.AS_SET
                                                        : burst.directions().get(i))
                                .toList())
                .withEnvelope(moved(burst.envelope(), from));
    }

    private static Envelope moved(Envelope envelope, int[] from) {
        return envelope instanceof PeakEnvelope peak
                ? peak.each(
                        phase -> {
                            Map<Integer, Double> shares = new HashMap<>();
                            phase.ofChannels()
                                    .forEach(
                                            (channel, share) ->
                                                    channels(from, channel)
                                                            .forEach(c -> shares.put(c, share)));
                            return phase.withOfChannels(shares);
                        })
                : envelope;
    }

    /** The targets that replace a target, one per channel that took over the settings. */
    private static Stream<Target> moved(Target target, int[] from) {
        return switch (target) {
            case OfChannel t ->
                    channels(from, t.channel())
                            .mapToObj(i -> new OfChannel(t.step(), i, t.parameter()));
            case OfStrength t -> channels(from, t.channel()).mapToObj(OfStrength::new);
            case OfChannelSource t ->
                    channels(from, t.channel()).mapToObj(i -> new OfChannelSource(i, t.part()));
            case OfDial t -> Stream.of(t);
            case OfOption t -> Stream.of(t);
            case OfBurst t -> Stream.of(t);
            case OfShutter t -> Stream.of(t);
            case OfStep t -> Stream.of(t);
            case OfMask t -> Stream.of(t);
            case OfOpacity t -> Stream.of(t);
            case OfPlacement t -> Stream.of(t);
        };
    }

    private static IntStream channels(int[] from, int channel) {
        return IntStream.range(0, from.length).filter(i -> from[i] == channel);
    }
}
