package ivrik.core.look;

import ivrik.core.look.Target.OfLane;
import ivrik.core.look.Target.OfStep;
import ivrik.core.look.Target.OfWord;
import ivrik.core.motion.Jitter;
import ivrik.core.motion.Value;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Parts of one look put into another. */
public final class LookParts {
    private LookParts() {}

    /** A part of a look that can be had without the rest. */
    public enum Part {
        TREATMENTS("Lanes and their treatments"),
        MOVEMENT("Movement: pegs, jitter, bursts"),
        FINISH("What is done to the whole picture"),
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
     * A look with a part of another in place of its own. Dials and bursts lose what is not there any more.
     *
     * @param from where the part comes from; steps of one treatment count as each other's, in their order
     */
    public static Look pasted(Look onto, Look from, Part part) {
        return switch (part) {
            case TREATMENTS ->
                    withSteps(
                            onto.with(
                                    l ->
                                            l.separation(from.separation())
                                                    .lanes(from.lanes())
                                                    .order(from.order())
                                                    .steps(others(onto, true))),
                            from.steps(Section.LANES));
            case FINISH -> withSteps(onto.withSteps(others(onto, false)), others(from, true));
            case MOVEMENT -> movement(onto, from);
            case DIALS -> dials(onto, from);
        };
    }

    /** The steps that are done to the whole picture, or those that are not. */
    private static List<Step> others(Look look, boolean whole) {
        return look.steps().stream().filter(s -> s.isWhole() == whole).toList();
    }

    private static Look withSteps(Look onto, List<Step> more) {
        Look look = onto;
        for (Step step : more) {
            String id = look.step(step.id()).isPresent() ? look.freeId(step.kind()) : step.id();
            look = look.withStepAdded(step.withId(id));
        }
        Look made = look;
        return made.driving(t -> isThere(made, t) ? Stream.of(t) : Stream.empty());
    }

    private static boolean isThere(Look look, Target target) {
        boolean lane =
                switch (target) {
                    case OfLane t -> t.lane() < look.lanes().size();
                    case Target.OfStrength t -> t.lane() < look.lanes().size();
                    case Target.OfFeed t -> t.lane() < look.lanes().size();
                    default -> true;
                };
        return lane && (target.stepId().isEmpty() || Targets.value(look, target).isPresent());
    }

    /** The step of one look for each of another: the first grain for the first grain. */
    private static Map<String, String> counterparts(Look from, Look onto) {
        Map<String, String> found = new HashMap<>();
        List<Step> left = new ArrayList<>(onto.steps());
        for (Step step : from.steps()) {
            Optional<Step> same =
                    left.stream()
                            .filter(s -> s.treatment().equals(step.treatment()))
                            .filter(s -> s.lanes().size() == step.lanes().size())
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
                    case OfLane t -> new OfLane(step, t.lane(), t.parameter());
                    case OfStep t -> new OfStep(step, t.parameter());
                    case OfWord t -> new OfWord(step, t.option());
                    default -> target;
                };
        return isThere(look, there) ? Stream.of(there) : Stream.empty();
    }

    private static Look movement(Look onto, Look from) {
        Map<String, String> steps = counterparts(from, onto);
        Look look = onto.withShutter(from.shutter());
        for (Step step : from.steps()) {
            String there = steps.get(step.id());
            for (int i = 0; there != null && i < step.lanes().size(); i++) {
                Amounts moving = step.lanes().get(i);
                look = look.withAmounts(there, i, a -> moved(a, moving));
            }
        }
        Look made = look;
        return made.withBursts(
                from.bursts().stream().map(b -> b.driving(t -> in(made, steps, t))).toList());
    }

    private static Amounts moved(Amounts still, Amounts moving) {
        Amounts moved = still;
        for (Map.Entry<String, Value> each : moving.values().entrySet()) {
            if (each.getValue().isMoving() && still.value(each.getKey()) != null) {
                moved = moved.with(each.getKey(), each.getValue());
            }
        }
        Jitter jitter = moving.jitter();
        return moved.with(a -> a.jitter(jitter).jitters(moving.jitters()).seed(moving.seed()));
    }

    private static Look dials(Look onto, Look from) {
        Map<String, String> steps = counterparts(from, onto);
        return onto.withDials(
                from.dials().stream()
                        .map(d -> d.driving(t -> in(onto, steps, t)))
                        .filter(d -> !d.links().isEmpty())
                        .toList());
    }
}
