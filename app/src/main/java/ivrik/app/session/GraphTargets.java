package ivrik.app.session;

import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.look.Target;
import ivrik.core.look.Targets;
import ivrik.core.treatment.Description;

import java.util.List;
import java.util.stream.IntStream;

/** The graphed and keyframed numbers, one per row: one per channel, or one for all. */
public sealed interface GraphTargets {
    /** A number of the selected treatment: a parameter, or {@code jitter}. */
    record OfTreatment(String parameter) implements GraphTargets {}

    /**
     * Another number of the selected look or its layer; a channel's number is graphed for every channel.
     */
    record Other(Target target) implements GraphTargets {}

    /** Target of each row from the top; empty if there is none. */
    default List<Target> rows(State state) {
        Look look = state.look().orElse(null);
        if (look == null) {
            return List.of();
        }
        if (this instanceof Other other && Targets.exists(look, other.target)) {
            return other.target.channel() < 0
                    ? List.of(other.target)
                    : ofChannels(look, other.target);
        }
        return state.step().map(step -> ofStep(look, step)).orElse(List.of());
    }

    private static List<Target> ofChannels(Look look, Target target) {
        return IntStream.range(0, look.channels().size()).mapToObj(target::inChannel).toList();
    }

    private List<Target> ofStep(Look look, Step step) {
        Description d = step.kind().description();
        String asked = this instanceof OfTreatment of ? of.parameter : "";
        boolean known = Target.OfChannel.isJitter(asked) || d.has(asked);
        String name = known ? asked : d.main().name();
        return step.isWhole()
                ? List.of(new Target.OfStep(step.id(), name))
                : ofChannels(look, new Target.OfChannel(step.id(), 0, name));
    }

    /** Title beside the graphs. */
    default String title(State state) {
        return switch (this) {
            case OfTreatment t -> t.parameter;
            case Other o ->
                    state.look()
                            .flatMap(look -> Targets.range(look, o.target))
                            .map(range -> range.title())
                            .orElse("");
        };
    }
}
