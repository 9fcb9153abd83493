package ivrik.core.look;

import ivrik.core.look.Target.OfChannel;
import ivrik.core.look.Target.OfOption;
import ivrik.core.look.Target.OfStep;
import ivrik.core.motion.Jitter;
import ivrik.core.motion.Value;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Copies parts of one look to another. */
public final class LookParts {
    private LookParts() {}

    /** A part of a look that can be copied on its own. */
    public enum Part {
        TREATMENTS("Channels and their treatments"),
        MOVEMENT("Animation: keyframes, jitter, bursts"),
        FINISH("Whole-picture treatments"),
        DIALS("Dials");

        private final String title;

        Part(String title) {
            this.title = title;
        }

        public String title() {
            return title;
        }
    }

    /**
     * A look with one part taken from another. Dials and bursts lose drives whose targets do not exist any
     * more.
     *
     * @param from the look that provides the part; steps of the same treatment correspond, in their order
     */
    public static Look pasted(Look to, Look from, Part part) {
        return switch (part) {
            case TREATMENTS ->
                    withSteps(
                            to.with(
                                    l ->
                                            l.separation(from.separation())
                                                    .channels(from.channels())
                                                    .order(from.order())
                                                    .steps(others(to, true))),
                            from.steps(Section.CHANNELS));
            case FINISH -> withSteps(to.withSteps(others(to, false)), others(from, true));
            case MOVEMENT -> movement(to, from);
            case DIALS -> dials(to, from);
        };
    }

    /** The steps on the whole picture, or the other steps. */
    private static List<Step> others(Look look, boolean whole) {
        return look.steps().stream().filter(s -> s.isWhole() == whole).toList();
    }

    private static Look withSteps(Look to, List<Step> more) {
        Look look = to;
        for (Step step : more) {
            String id = look.step(step.id()).isPresent() ? look.freeId(step.kind()) : step.id();
            look = look.withStepAdded(step.withId(id));
        }
        Look made = look;
        return made.driving(t -> isThere(made, t) ? Stream.of(t) : Stream.empty());
    }

    private static boolean isThere(Look look, Target target) {
        boolean channel =
                switch (target) {
                    case OfChannel t -> t.channel() < look.channels().size();
                    case Target.OfStrength t -> t.channel() < look.channels().size();
                    case Target.OfChannelSource t -> t.channel() < look.channels().size();
                    default -> true;
                };
        return channel && (target.stepId().isEmpty() || Targets.value(look, target).isPresent());
    }

    /** The corresponding step ids: the first grain for the first grain. */
    private static Map<String, String> counterparts(Look from, Look to) {
        Map<String, String> found = new HashMap<>();
        List<Step> left = new ArrayList<>(to.steps());
        for (Step step : from.steps()) {
            Optional<Step> same =
                    left.stream()
                            .filter(s -> s.treatment().equals(step.treatment()))
                            .filter(s -> s.channels().size() == step.channels().size())
                            .findFirst();
            same.ifPresent(
                    s -> {
                        found.put(step.id(), s.id());
                        left.remove(s);
                    });
        }
        return found;
    }

    private static Stream<Target> in(Look look, Map<String, String> steps, Target target) {
        if (target.stepId().isEmpty()) {
            return isThere(look, target) ? Stream.of(target) : Stream.empty();
        }
        String step = steps.get(target.stepId());
        if (step == null) {
            return Stream.empty();
        }
        Target there =
                switch (target) {
                    case OfChannel t -> new OfChannel(step, t.channel(), t.parameter());
                    case OfStep t -> new OfStep(step, t.parameter());
                    case OfOption t -> new OfOption(step, t.option());
                    default -> target;
                };
        return isThere(look, there) ? Stream.of(there) : Stream.empty();
    }

    private static Look movement(Look to, Look from) {
        Map<String, String> steps = counterparts(from, to);
        Look look = to.withShutter(from.shutter());
        for (Step step : from.steps()) {
            String there = steps.get(step.id());
            for (int i = 0; there != null && i < step.channels().size(); i++) {
                ChannelSettings moving = step.channels().get(i);
                look = look.withSettings(there, i, a -> moved(a, moving));
            }
        }
        Look made = look;
        return made.withBursts(
                from.bursts().stream().map(b -> b.driving(t -> in(made, steps, t))).toList());
    }

    private static ChannelSettings moved(ChannelSettings still, ChannelSettings moving) {
        ChannelSettings moved = still;
        for (Map.Entry<String, Value> each : moving.values().entrySet()) {
            if (each.getValue().isMoving() && still.value(each.getKey()) != null) {
                moved = moved.with(each.getKey(), each.getValue());
            }
        }
        Jitter jitter = moving.jitter();
        return moved.with(
                a ->
                        a.jitter(jitter)
                                .jitters(moving.jitters())
                                .seed(moving.seed())
                                .origin(moving.origin()));
    }

    private static Look dials(Look to, Look from) {
        Map<String, String> steps = counterparts(from, to);
        return to.withDials(
                from.dials().stream()
                        .map(d -> d.driving(t -> in(to, steps, t)))
                        .filter(d -> !d.links().isEmpty())
                        .map(Dial::withoutKeyframes)
                        .toList());
    }
}
