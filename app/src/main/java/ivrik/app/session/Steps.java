package ivrik.app.session;

import ivrik.core.look.Amounts;
import ivrik.core.look.HalationParts;
import ivrik.core.look.HalationParts.Opened;
import ivrik.core.look.Look;
import ivrik.core.look.Section;
import ivrik.core.look.Step;
import ivrik.core.motion.Value;
import ivrik.core.project.Arrange;
import ivrik.core.project.Layer;
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

    /** Adds a treatment whose amounts have to be measured. */
    private Runnable measured = () -> {};

    /** What was copied of a lane. */
    private record Copied(String treatment, Amounts amounts) {}

    public Steps(Session session) {
        this.session = session;
    }

    /**
     * What adding a treatment makes of a look: it comes after another step, or last in its section, and
     * is shown off.
     *
     * @param after the id of that step
     */
    public static Look with(Look look, String after, Treatment treatment, Project project) {
        Step step = Step.shownOff(look.freeId(treatment), treatment, look.lanes().size());
        if (treatment.description().is(Trait.PICTURE)) {
            step = step.withPicture(likelyPicture(project));
        }
        Section section = step.section();
        boolean among = look.step(after).filter(s -> s.section() == section).isPresent();
        return among ? look.withStepAdded(look.number(after) + 1, step) : look.withStepAdded(step);
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

    /**
     * @param measures adds a treatment with what it measures
     */
    public void measureBy(Runnable measures) {
        measured = measures;
    }

    /** Adds a treatment and selects it. */
    public void add(Treatment treatment) {
        Look look = session.state().look().orElse(null);
        if (look == null) {
            return;
        }
        if (treatment.description().is(Trait.MEASURED)) {
            measured.run();
            return;
        }
        String after = session.state().stepId();
        String added = look.freeId(treatment);
        session.editLook(
                "Add " + treatment.description().title(),
                l -> with(l, after, treatment, session.project()));
        session.selectCell(added, session.state().lane());
    }

    public void remove(String id) {
        Look look = session.state().look().orElse(null);
        if (look != null && look.number(id) >= 0) {
            int number = look.number(id);
            session.editLook("Remove " + title(look, id), l -> l.withoutStep(id));
            List<Step> left = session.state().look().map(Look::steps).orElse(List.of());
            String next = left.isEmpty() ? "" : left.get(Math.max(0, number - 1)).id();
            session.selectCell(next, session.state().lane());
        }
    }

    /** Moves a column by so many places, as far as its section goes. */
    public void move(String id, int by) {
        Look look = session.state().look().orElse(null);
        if (look == null || look.number(id) < 0) {
            return;
        }
        List<Step> section = look.steps(look.step(id).orElseThrow().section());
        int first = look.number(section.getFirst().id());
        int to = Math.clamp(look.number(id) + by, first, first + section.size() - 1);
        if (to != look.number(id)) {
            session.editLook("Move " + title(look, id), l -> l.withStepMoved(id, to));
        }
    }

    /** Does a treatment elsewhere on the road; the lane being worked on gives the picture its amounts. */
    public void place(String id, Section section) {
        int lane = session.state().lane();
        session.editLook(
                switch (section) {
                    case PREPARE -> "To the picture before the lanes";
                    case LANES -> "To each lane";
                    case FINISH -> "To the picture after the lanes";
                },
                l -> l.withStepIn(section, id, lane));
    }

    /** Puts the parts that a treatment is made of in its place, and has them on the desk. */
    public void open(String id) {
        Look look = session.state().look().orElse(null);
        if (look == null || !HalationParts.canOpen(look, id)) {
            return;
        }
        Opened opened = HalationParts.opened(look, id);
        int number = session.state().lookNumber();
        Layer before = session.state().layer().orElseThrow();
        Layer after = before.withLook(number, l -> opened.looks().getFirst());
        for (Look next : opened.looks().subList(1, opened.looks().size())) {
            after =
                    Arrange.withNewLook(after, after.freeLookId(), number)
                            .withLook(number + 1, l -> next);
        }
        Layer changed = after;
        session.edit(
                "Open " + title(look, id), project -> project.withLayer(before.id(), l -> changed));
        session.selectLook(changed.looks().get(number + opened.parts()).id());
    }

    private static String title(Look look, String step) {
        return look.step(step).orElseThrow().kind().description().title();
    }

    /** Remembers the amounts of the lane being worked on. */
    public void copy() {
        step().ifPresent(
                        step ->
                                copied =
                                        new Copied(
                                                step.treatment(),
                                                step.amounts(session.state().lane())));
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
        return amounts.withValues(values);
    }

    private Optional<Step> step() {
        return session.state().step();
    }

    private interface Each {
        Amounts of(Step step, int lane);
    }

    /** What lanes have to do with each other; a treatment of the whole picture has no lanes. */
    private void edit(String name, Each each) {
        if (step().filter(Step::isWhole).isPresent()) {
            return;
        }
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
        String id = session.state().stepId();
        if (step().isPresent()) {
            session.editLook(name, l -> l.withStep(id, change));
        }
    }
}
