package ivrik.core.look;

import ivrik.core.look.ChannelSettings.RandomOrigin;
import ivrik.core.look.Dial.Link;
import ivrik.core.look.Target.OfChannel;
import ivrik.core.motion.Jitter;
import ivrik.core.treatment.Trait;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A copied channel: its settings in each treatment, with keyframes, jitter and seeds, and its shares of dials. A
 * pasted channel moves as the copied one, also elsewhere.
 *
 * @param look the look that holds the channel; its random numbers are those of the place it was copied from
 * @param channel index of the channel
 */
public record ChannelCopy(Look look, int channel) {
    /**
     * @param place identifies the layer and look, as salt of random values
     */
    public static ChannelCopy of(Look look, int channel, String place) {
        return new ChannelCopy(withOrigins(look, place), channel);
    }

    /** A look whose random numbers stay those of a place wherever the look is pasted. */
    public static Look withOrigins(Look look, String place) {
        List<Step> steps = new ArrayList<>();
        for (Step step : look.steps()) {
            Step there = step;
            for (int i = 0; i < step.channels().size(); i++) {
                RandomOrigin origin = new RandomOrigin(place, step.id(), i);
                boolean isOwn = step.channels().get(i).origin().isEmpty();
                if (isOwn && isRandom(look, step, i)) {
                    there = there.withChannel(i, a -> a.from(origin));
                }
            }
            steps.add(there);
        }
        return look.withSteps(steps);
    }

    /** Whether a step draws random numbers in a channel. */
    private static boolean isRandom(Look look, Step step, int channel) {
        ChannelSettings settings = step.channels().get(channel);
        return step.kind().description().is(Trait.LIVE)
                || !settings.jitter().equals(Jitter.NONE)
                || !settings.jitters().isEmpty()
                || look.dials().stream()
                        .flatMap(d -> d.links().stream())
                        .map(Link::target)
                        .anyMatch(t -> t instanceof OfChannel && t.stepId().equals(step.id()))
                || look.bursts().stream()
                        .flatMap(b -> b.drives().stream())
                        .anyMatch(d -> d.target().stepId().equals(step.id()));
    }

    private List<Step> ownSteps() {
        return look.steps(Section.CHANNELS);
    }

    /** The copied treatment that corresponds to a step. */
    private Optional<Step> counterpart(Step step) {
        return look.steps().stream()
                .filter(s -> s.treatment().equals(step.treatment()))
                .filter(s -> s.isWhole() == step.isWhole())
                .findFirst();
    }

    /** Whether a copied treatment corresponds to a step. */
    public boolean has(Step step) {
        return counterpart(step).isPresent();
    }

    /**
     * A look in which a channel has the copied settings of one treatment, and its shares of dials. A treatment
     * of the whole picture takes its settings only.
     */
    public Look pastedInto(Look to, String id, int toChannel) {
        Step there = to.step(id).orElseThrow();
        Step own = counterpart(there).orElse(there);
        return there.isWhole()
                ? to.withSettings(id, 0, a -> own.settings(0))
                : withDials(with(to, own, id, toChannel), Map.of(own.id(), id), toChannel);
    }

    /**
     * A look in which a channel has all copied settings. Missing treatments are added; treatments that only the
     * look has stay.
     */
    public Look pastedInto(Look to, int toChannel) {
        Look pasted = to;
        Map<String, String> steps = new HashMap<>();
        for (Step own : ownSteps()) {
            Optional<Step> same =
                    to.steps(Section.CHANNELS).stream()
                            .filter(s -> s.treatment().equals(own.treatment()))
                            .filter(s -> !steps.containsValue(s.id()))
                            .findFirst();
            String id = same.map(Step::id).orElse(pasted.freeId(own.kind()));
            if (same.isEmpty()) {
                int channels = to.channels().size();
                pasted =
                        pasted.withStepAdded(
                                own.withId(id)
                                        .withChannels(
                                                Step.atRest(id, own.kind(), channels).channels()));
            }
            steps.put(own.id(), id);
            pasted = with(pasted, own, id, toChannel);
        }
        return withDials(pasted, steps, toChannel);
    }

    private Look with(Look to, Step own, String id, int toChannel) {
        return to.withSettings(id, toChannel, a -> own.settings(channel));
    }

    /** A look whose dials drive the pasted channel as they drove the copied one. */
    private Look withDials(Look to, Map<String, String> steps, int toChannel) {
        List<Dial> dials = new ArrayList<>();
        for (Dial dial : to.dials()) {
            List<Link> kept =
                    dial.links().stream()
                            .filter(
                                    l ->
                                            l.target().channel() != toChannel
                                                    || !steps.containsValue(l.target().stepId()))
                            .toList();
            dials.add(dial.withLinks(kept));
        }
        for (Dial dial : look.dials()) {
            List<Link> links =
                    dial.links().stream()
                            .filter(
                                    l ->
                                            l.target() instanceof OfChannel t
                                                    && t.channel() == channel)
                            .filter(l -> steps.containsKey(l.target().stepId()))
                            .map(l -> l.withTarget(moved((OfChannel) l.target(), steps, toChannel)))
                            .toList();
            if (links.isEmpty()) {
                continue;
            }
            int at = dials.stream().map(Dial::name).toList().indexOf(dial.name());
            if (at < 0) {
                dials.add(dial.withLinks(links));
            } else {
                List<Link> all = new ArrayList<>(dials.get(at).links());
                all.addAll(links);
                dials.set(at, dials.get(at).withLinks(all));
            }
        }
        return to.withDials(dials);
    }

    private static OfChannel moved(OfChannel target, Map<String, String> steps, int toChannel) {
        return new OfChannel(steps.get(target.step()), toChannel, target.parameter());
    }
}
