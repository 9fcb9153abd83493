package ivrik.core.look;

import ivrik.core.look.Burst.Drive;
import ivrik.core.look.Dial.Link;
import ivrik.core.motion.Envelope;
import ivrik.core.motion.PeakEnvelope;
import ivrik.core.motion.Phase;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Settings of a colour model that the present model of a look has no channels for. */
final class OtherModel {
    private OtherModel() {}

    /** Name of a colour model without its parameters, such as {@code cmyk}. */
    private static String family(Look look) {
        return look.separation().replaceFirst(":.*", "");
    }

    /** Whether two looks have one model, whatever its parameters. */
    static boolean isSame(Look a, Look b) {
        return family(a).equals(family(b));
    }

    /** A look that keeps the channel settings of its former model. */
    static Look keeping(Look look, Look former) {
        List<Step> steps =
                former.steps(Section.CHANNELS).stream()
                        .map(s -> s.withTable(Optional.empty()))
                        .toList();
        Look settings =
                Look.atRest(former.name(), former.model())
                        .with(
                                l ->
                                        l.channels(former.channels())
                                                .order(former.order())
                                                .steps(steps)
                                                .bursts(former.bursts()));
        Look moving =
                settings.withBursts(
                                former.bursts().stream().map(b -> ofChannels(b, settings)).toList())
                        .withDials(
                                former.dials().stream()
                                        .map(d -> d.withLinks(ofChannels(d, settings)))
                                        .filter(d -> !d.links().isEmpty())
                                        .toList());
        return look.withOtherModels(
                Stream.concat(
                                look.otherModels().stream().filter(l -> !isSame(l, former)),
                                Stream.of(moving))
                        .toList());
    }

    private static Burst ofChannels(Burst burst, Look settings) {
        return burst.withDrives(
                burst.drives().stream().filter(d -> isOfChannel(settings, d.target())).toList());
    }

    private static List<Link> ofChannels(Dial dial, Look settings) {
        return dial.links().stream().filter(l -> isOfChannel(settings, l.target())).toList();
    }

    /** Whether a target is a number of one channel in the kept steps. */
    private static boolean isOfChannel(Look settings, Target target) {
        return target.channel() >= 0 && Targets.exists(settings, target);
    }

    /**
     * A look with the kept settings of its model, for channels without a counterpart in the former model.
     *
     * @param former holds the kept settings
     * @param look the look in its new model
     */
    static Look restored(Look former, Look look) {
        Optional<Look> found =
                former.otherModels().stream().filter(l -> isSame(l, look)).findFirst();
        if (found.isEmpty()) {
            return look;
        }
        Look kept = found.get();
        var before = former.model().channels();
        var after = look.model().channels();
        IntPredicate isOwn = i -> ModelChange.counterpart(after.get(i), before) < 0;
        Look there =
                look.withChannels(
                                IntStream.range(0, after.size())
                                        .mapToObj(
                                                i ->
                                                        isOwn.test(i)
                                                                ? kept.channels().get(i)
                                                                : look.channels()
                                                                        .get(i)
                                                                        .withInk(
                                                                                kept.channels()
                                                                                        .get(i)
                                                                                        .ink()))
                                        .toList())
                        .withOrder(kept.order())
                        .withSteps(look.steps().stream().map(s -> step(s, kept, isOwn)).toList())
                        .withOtherModels(
                                former.otherModels().stream().filter(l -> l != kept).toList());
        return there.withBursts(there.bursts().stream().map(b -> burst(b, kept, isOwn)).toList())
                .withDials(dials(there, kept, isOwn));
    }

    private static Step step(Step step, Look kept, IntPredicate isOwn) {
        Optional<Step> found =
                kept.step(step.id())
                        .filter(s -> !step.isWhole() && s.treatment().equals(step.treatment()));
        Step there = step;
        for (int i = 0; found.isPresent() && i < step.channels().size(); i++) {
            ChannelSettings own = found.get().channels().get(i);
            if (isOwn.test(i)) {
                there = there.withChannel(i, a -> own);
            }
        }
        return there;
    }

    private static Burst burst(Burst burst, Look kept, IntPredicate isOwn) {
        Burst found = kept.burst(burst.id()).orElse(null);
        if (found == null) {
            return burst;
        }
        List<Drive> drives = new ArrayList<>(burst.drives());
        found.drives().stream().filter(d -> isOwn(d.target(), isOwn)).forEach(drives::add);
        List<Burst.Direction> directions = new ArrayList<>(burst.directions());
        for (int i = 0; i < directions.size(); i++) {
            if (isOwn.test(i) && i < found.directions().size()) {
                directions.set(i, found.directions().get(i));
            }
        }
        return burst.withDrives(drives)
                .withDirections(directions)
                .withEnvelope(envelope(burst.envelope(), found.envelope(), isOwn));
    }

    /** An envelope with the kept shares of some channels, if the envelopes have equal phases. */
    private static Envelope envelope(Envelope envelope, Envelope kept, IntPredicate isOwn) {
        return envelope instanceof PeakEnvelope now
                        && kept instanceof PeakEnvelope former
                        && now.in().size() == former.in().size()
                        && now.out().map(List::size).equals(former.out().map(List::size))
                ? now.withIn(phases(now.in(), former.in(), isOwn))
                        .withOut(now.out().map(out -> phases(out, former.down(), isOwn)))
                : envelope;
    }

    private static List<Phase> phases(List<Phase> now, List<Phase> kept, IntPredicate isOwn) {
        List<Phase> phases = new ArrayList<>();
        for (int i = 0; i < now.size(); i++) {
            Map<Integer, Double> shares = new HashMap<>(now.get(i).ofChannels());
            kept.get(i)
                    .ofChannels()
                    .forEach(
                            (channel, share) -> {
                                if (isOwn.test(channel)) {
                                    shares.put(channel, share);
                                }
                            });
            phases.add(now.get(i).withOfChannels(shares));
        }
        return phases;
    }

    private static List<Dial> dials(Look look, Look kept, IntPredicate isOwn) {
        List<Dial> dials = new ArrayList<>(look.dials());
        for (Dial dial : kept.dials()) {
            List<Link> own =
                    dial.links().stream()
                            .filter(l -> isOwn(l.target(), isOwn))
                            .filter(l -> Targets.exists(look, l.target()))
                            .toList();
            if (own.isEmpty()) {
                continue;
            }
            int at =
                    IntStream.range(0, dials.size())
                            .filter(i -> dials.get(i).name().equals(dial.name()))
                            .findFirst()
                            .orElse(-1);
            if (at < 0) {
                dials.add(dial.withLinks(own));
            } else {
                Dial there = dials.get(at);
                dials.set(
                        at,
                        there.withLinks(
                                Stream.concat(there.links().stream(), own.stream()).toList()));
            }
        }
        return dials;
    }

    private static boolean isOwn(Target target, IntPredicate isOwn) {
        return target.channel() >= 0 && isOwn.test(target.channel());
    }
}
