package ivrik.app.session;

import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.look.Target;
import ivrik.core.look.Targets;
import ivrik.core.treatment.Description;

import java.util.List;
import java.util.stream.IntStream;

/** Which numbers are traced and pegged, one in each row: a lane's each, or one for all. */
public sealed interface Traced {
    /** A number of the selected treatment: a parameter, or {@code jitter}. */
    record OfTreatment(String parameter) implements Traced {}

    /** Another number of the look on the desk or its layer; of a lane, that of every lane. */
    record Other(Target target) implements Traced {}

    /** What is aimed at in each row, from the top; empty where there is nothing. */
    default List<Target> rows(State state) {
        Look look = state.look().orElse(null);
        if (look == null) {
            return List.of();
        }
        if (this instanceof Other other && Targets.exists(look, other.target)) {
            return other.target.lane() < 0 ? List.of(other.target) : ofLanes(look, other.target);
        }
        return state.step().map(step -> ofStep(look, step)).orElse(List.of());
    }

    private static List<Target> ofLanes(Look look, Target target) {
        return IntStream.range(0, look.lanes().size()).mapToObj(target::inLane).toList();
    }

    private List<Target> ofStep(Look look, Step step) {
        Description d = step.kind().description();
        String asked = this instanceof OfTreatment of ? of.parameter : "";
        boolean known = Target.OfLane.isJitter(asked) || d.has(asked);
        String name = known ? asked : d.main().name();
        return step.isWhole()
                ? List.of(new Target.OfStep(step.id(), name))
                : ofLanes(look, new Target.OfLane(step.id(), 0, name));
    }

    /** As it is called beside the traces. */
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
