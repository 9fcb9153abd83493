package ivrik.app.session;

import ivrik.core.look.Amounts;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.motion.Value;
import ivrik.core.project.Project;
import ivrik.core.project.Source;
import ivrik.core.treatment.Description;
import ivrik.core.treatment.Parameter;
import ivrik.core.treatment.Trait;
import ivrik.core.treatment.Treatment;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.UnaryOperator;

/** The columns of the desk: adding, ordering and removing treatments, and the lanes' amounts among them. */
public final class Steps {
    private final Session session;
    private Copied copied;

    /** What was copied of a lane. */
    private record Copied(String treatment, Amounts amounts) {}

    public Steps(Session session) {
        this.session = session;
    }

    /** What adding a treatment makes of a look: it comes after the selected one, shown off. */
    public static Look with(Look look, int after, Treatment treatment, Project project) {
        Step step = Step.shownOff(treatment, look.lanes().size());
        if (treatment.description().is(Trait.PICTURE)) {
            step = step.withPicture(likelyPicture(project));
        }
        return look.withStepAdded(look.steps().isEmpty() ? 0 : after + 1, step);
    }

    /** The last footage or picture that was brought in; words and drawings only if there is no other. */
    private static String likelyPicture(Project project) {
        List<Source> sources = project.sources().reversed();
        return sources.stream()
                .filter(s -> !s.kind().isDrawn())
                .findFirst()
                .or(() -> sources.stream().findFirst())
                .map(Source::id)
                .orElse("");
    }

    /** Adds a treatment and selects it. */
    public void add(Treatment treatment) {
        Look look = session.state().look().orElse(null);
        if (look == null) {
            return;
        }
        int after = session.state().step();
        boolean first = look.steps().isEmpty();
        session.editLook(
                "Add " + treatment.description().title(),
                l -> with(l, after, treatment, session.project()));
        session.selectCell(first ? 0 : after + 1, session.state().lane());
    }

    public void remove(int step) {
        Look look = session.state().look().orElse(null);
        if (look != null && step < look.steps().size()) {
            session.editLook("Remove " + title(look, step), l -> l.withoutStep(step));
            session.selectCell(Math.max(0, step - 1), session.state().lane());
        }
    }

    /** Moves a column to where another is. */
    public void move(int from, int to) {
        Look look = session.state().look().orElse(null);
        if (look != null && from != to && to >= 0 && to < look.steps().size()) {
            session.editLook("Move " + title(look, from), l -> l.withStepMoved(from, to));
            session.selectCell(to, session.state().lane());
        }
    }

    private static String title(Look look, int step) {
        return look.steps().get(step).kind().description().title();
    }

    /** Remembers the amounts of the lane being worked on. */
    public void copy() {
        step().ifPresent(
                        step ->
                                copied =
                                        new Copied(
                                                step.treatment(),
                                                step.lanes().get(session.state().lane())));
    }

    /** Whether what was copied fits the selected treatment. */
    public boolean canPaste() {
        return copied != null
                && step().filter(s -> s.treatment().equals(copied.treatment)).isPresent();
    }

    public void paste() {
        if (canPaste()) {
            int lane = session.state().lane();
            edit("Paste amounts", step -> step.withLane(lane, a -> copied.amounts));
        }
    }

    /** The lane's amounts in all other lanes that are not held. */
    public void toAll() {
        int from = session.state().lane();
        edit("Same in all lanes", (step, lane) -> step.lanes().get(from));
    }

    /** The opposite of the lane's amounts in its counterpart; the one between comes to rest. */
    public void oppose() {
        int from = session.state().lane();
        int last = session.state().look().map(l -> l.lanes().size() - 1).orElse(0);
        int to = last - from == from ? (from == 0 ? last : 0) : last - from;
        edit(
                "Oppose",
                (step, lane) ->
                        lane == to
                                ? turned(step, step.lanes().get(from))
                                : lane == from
                                        ? step.lanes().get(from)
                                        : Amounts.atRest(step.kind().description()));
    }

    /** The lane's amounts turned to the other side of rest. */
    public void mirror() {
        int from = session.state().lane();
        edit(
                "Mirror",
                (step, lane) ->
                        lane == from
                                ? turned(step, step.lanes().get(lane))
                                : step.lanes().get(lane));
    }

    /** From the first lane to the last in even steps. */
    public void spread() {
        edit(
                "Spread",
                (step, lane) -> {
                    Amounts first = step.lanes().getFirst();
                    Amounts last = step.lanes().getLast();
                    double share = (double) lane / Math.max(1, step.lanes().size() - 1);
                    Amounts spread = step.lanes().get(lane);
                    for (Parameter p : step.kind().description().parameters()) {
                        double a = first.value(p.name()).rest();
                        double b = last.value(p.name()).rest();
                        if (p.drives() && !spread.value(p.name()).isMoving()) {
                            spread = spread.with(p.name(), Value.of(a + share * (b - a)));
                        }
                    }
                    return spread;
                });
    }

    /** What drives the treatment, as far on the other side of rest. */
    private static Amounts turned(Step step, Amounts amounts) {
        Description d = step.kind().description();
        Map<String, Value> values = new TreeMap<>(amounts.values());
        values.replaceAll(
                (name, value) -> {
                    Parameter p = d.parameter(name);
                    return p.drives() ? value.map(v -> p.clamp(2 * p.rest() - v)) : value;
                });
        return new Amounts(values, amounts.jitter());
    }

    private Optional<Step> step() {
        State state = session.state();
        return state.look()
                .filter(l -> state.step() < l.steps().size())
                .map(l -> l.steps().get(state.step()));
    }

    private interface Each {
        Amounts of(Step step, int lane);
    }

    private void edit(String name, Each each) {
        edit(
                name,
                step -> {
                    List<Amounts> lanes = new ArrayList<>();
                    for (int i = 0; i < step.lanes().size(); i++) {
                        lanes.add(each.of(step, i));
                    }
                    return step.withLanes(lanes);
                });
    }

    private void edit(String name, UnaryOperator<Step> change) {
        int number = session.state().step();
        if (step().isPresent()) {
            session.editLook(name, l -> l.withStep(number, change));
        }
    }
}
