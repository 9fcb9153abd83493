package ivrik.app.session;

import ivrik.app.session.State.Selection;
import ivrik.core.look.Look;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.render.Overscans;

import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

import java.time.Duration;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * The one store of what is being worked on. An edit makes a new state; undo and redo walk the list of
 * states by the names of the edits. Used on the interface thread only.
 */
public final class Session {
    private static final long MOST_HISTORY_BYTES = 64L << 20;

    /** Small edits that follow each other no later are one. */
    private static final Duration ONE_STEP = Duration.ofSeconds(1);

    private final ReadOnlyObjectWrapper<State> state =
            new ReadOnlyObjectWrapper<>(
                    new State(Project.empty(Document.UNTITLED), Selection.FIRST));
    private final History history;
    private final Overscans overscans = new Overscans();
    private Plans plans = plansOf(state.get().project());
    private Project saved = state.get().project();

    /** When the last small edit was made, by the system's own clock. */
    private long editedAgain = System.nanoTime() - ONE_STEP.toNanos();

    public Session() {
        this(MOST_HISTORY_BYTES);
    }

    /**
     * @param mostHistoryBytes of all edits that can be undone, about; the oldest go first
     */
    public Session(long mostHistoryBytes) {
        history = new History(mostHistoryBytes);
    }

    public ReadOnlyObjectProperty<State> stateProperty() {
        return state.getReadOnlyProperty();
    }

    public State state() {
        return state.get();
    }

    public Project project() {
        return state().project();
    }

    /** The plans of the project as it is now. */
    public Plans plans() {
        if (plans.project() != project()) {
            plans = plansOf(project());
        }
        return plans;
    }

    /** The plans of another project, of which most is known if it is much like this one. */
    public Plans plansOf(Project other) {
        return new Plans(other, overscans);
    }

    /** Starts over with a project; nothing to undo, nothing to save. */
    public void open(Project project) {
        history.clear();
        saved = project;
        String layer = project.layers().stream().findFirst().map(Layer::id).orElse("");
        state.set(new State(project, Selection.of(layer, 0)));
    }

    /** An edit of the project; one that changes nothing is no step. */
    public void edit(String name, UnaryOperator<Project> change) {
        put(name, new State(change.apply(project()), state().selection()));
    }

    /** An edit of the selected layer's look. */
    public void editLook(String name, UnaryOperator<Look> change) {
        edit(name, lookChange(change));
    }

    /** The same small edit of the look again and again: those that follow each other quickly are one step. */
    public void editAgain(String name, UnaryOperator<Look> change) {
        State next = new State(lookChange(change).apply(project()), state().selection());
        long now = System.nanoTime();
        if (!next.equals(state())) {
            if (now - editedAgain < ONE_STEP.toNanos()) {
                history.addTo(name, state(), next);
            } else {
                history.add(name, state(), next);
            }
            state.set(next);
        }
        editedAgain = now;
    }

    /** An edit of the selected layer's look as one of the project. */
    public UnaryOperator<Project> lookChange(UnaryOperator<Look> change) {
        return project ->
                state().layer()
                        .map(
                                layer ->
                                        project.withLayer(
                                                layer.id(),
                                                l -> l.withLook(state().lookNumber(), change)))
                        .orElse(project);
    }

    private void put(String name, State next) {
        if (!next.equals(state())) {
            history.add(name, state(), next);
            state.set(next);
        }
    }

    /** Another selection; not a step of its own, but undo brings it back. */
    public void select(Selection selection) {
        state.set(new State(project(), selection));
    }

    public void selectLane(int lane) {
        select(state().selection().withCell(state().selection().step(), lane));
    }

    /** A lane's share in a treatment, by the step's id. */
    public void selectCell(String step, int lane) {
        select(state().selection().withCell(step, lane));
    }

    public void selectLayer(String layer) {
        select(Selection.of(layer, state().selection().lane()));
    }

    /** Another look of the selected layer. */
    public void selectLook(String id) {
        select(state().selection().withLook(id));
    }

    /** A burst of the selected look. */
    public void selectBurst(String id) {
        select(state().selection().withBurst(id));
    }

    /** An edit of the selected layer. */
    public void editLayer(String name, UnaryOperator<Layer> change) {
        state().layer().ifPresent(l -> edit(name, p -> p.withLayer(l.id(), change)));
    }

    /** Begins a drag: all of its changes together are one step. */
    public Gesture gesture(String name) {
        return new Gesture(name);
    }

    /** One drag. Every change starts from the state that it began with. */
    public final class Gesture {
        private final String name;
        private final State before = state();

        private Gesture(String name) {
            this.name = name;
        }

        /** What the drag has come to: replaces what it was before. */
        public void edit(UnaryOperator<Project> change) {
            State next = new State(change.apply(before.project()), before.selection());
            history.drop(before);
            if (!next.equals(before)) {
                history.add(name, before, next);
            }
            state.set(next);
        }

        public void editLook(UnaryOperator<Look> change) {
            edit(lookChange(change));
        }

        public void editLayer(UnaryOperator<Layer> change) {
            before.layer().ifPresent(l -> edit(p -> p.withLayer(l.id(), change)));
        }
    }

    public Optional<String> undoName() {
        return history.undoName();
    }

    public Optional<String> redoName() {
        return history.redoName();
    }

    public void undo() {
        history.undo().ifPresent(state::set);
    }

    public void redo() {
        history.redo().ifPresent(state::set);
    }

    public boolean isSaved() {
        return saved.equals(project());
    }

    /** The project as it was a moment ago is what stands on the disk now. */
    public void markSaved(Project written) {
        saved = written;
        state.set(new State(project(), state().selection()));
    }

    /** The project is not what is on the disk, whatever is undone. */
    public void markUnsaved() {
        saved = Project.empty("");
    }
}
