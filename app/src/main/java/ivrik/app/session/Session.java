package ivrik.app.session;

import ivrik.app.session.State.Selection;
import ivrik.core.look.Look;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.project.TiedBursts;
import ivrik.core.render.OverscanFinder;

import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

import java.time.Duration;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * Holds the application state. An edit creates a new state; undo and redo walk through the states. To be used
 * on the interface thread.
 */
public final class Session {
    private static final long MAX_HISTORY_BYTES = 64L << 20;

    /** Small edits within this time form one undo step. */
    private static final Duration ONE_STEP = Duration.ofSeconds(1);

    private final ReadOnlyObjectWrapper<State> state =
            new ReadOnlyObjectWrapper<>(
                    new State(Project.empty(Document.UNTITLED), Selection.FIRST));
    private final History history;
    private final OverscanFinder overscans = new OverscanFinder();
    private Plans plans = plansOf(state.get().project());
    private Project saved = state.get().project();

    /** Time of the last small edit. */
    private long editedAgain = System.nanoTime() - ONE_STEP.toNanos();

    public Session() {
        this(MAX_HISTORY_BYTES);
    }

    /**
     * @param mostHistoryBytes approximate memory limit of the undo steps; the oldest are dropped
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

    /** The plans of the present project. */
    public Plans plans() {
        if (plans.project() != project()) {
            plans = plansOf(project());
        }
        return plans;
    }

    /** The plans of another project; reuses those of similar frames. */
    public Plans plansOf(Project other) {
        return new Plans(other, overscans);
    }

    /** Opens a project with an empty history. */
    public void open(Project project) {
        history.clear();
        saved = project;
        String layer = project.layers().stream().findFirst().map(Layer::id).orElse("");
        state.set(new State(project, Selection.of(layer, 0)));
    }

    /** Edits the project; an edit without a change is not an undo step. */
    public void edit(String name, UnaryOperator<Project> change) {
        put(name, new State(change.apply(project()), state().selection()));
    }

    /** Edits the selected look. */
    public void editLook(String name, UnaryOperator<Look> change) {
        edit(name, lookChange(change));
    }

    /** Repeats a small edit of the look; quick repetitions form one undo step. */
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

    /** Converts an edit of the selected look to an edit of the project. */
    public UnaryOperator<Project> lookChange(UnaryOperator<Look> change) {
        return project ->
                state().layer()
                        .map(
                                layer ->
                                        project.withLayer(
                                                layer.id(),
                                                l ->
                                                        TiedBursts.following(
                                                                l,
                                                                l.withLook(
                                                                        state().lookNumber(),
                                                                        change))))
                        .orElse(project);
    }

    private void put(String name, State next) {
        if (!next.equals(state())) {
            history.add(name, state(), next);
            state.set(next);
        }
    }

    /** Changes the selection; not an undo step, but restored by undo. */
    public void select(Selection selection) {
        state.set(new State(project(), selection));
    }

    public void selectChannel(int channel) {
        select(state().selection().withCell(state().selection().step(), channel));
    }

    /** Selects a step and channel. */
    public void selectCell(String step, int channel) {
        select(state().selection().withCell(step, channel));
    }

    public void selectLayer(String layer) {
        select(Selection.of(layer, state().selection().channel()));
    }

    /** Selects a look of the selected layer. */
    public void selectLook(String id) {
        select(state().selection().withLook(id));
    }

    /** Selects a burst of the selected look. */
    public void selectBurst(String id) {
        select(state().selection().withBurst(id));
    }

    /** Edits the selected layer. */
    public void editLayer(String name, UnaryOperator<Layer> change) {
        state().layer().ifPresent(l -> edit(name, p -> p.withLayer(l.id(), change)));
    }

    /** Starts a drag; all its changes form one undo step. */
    public Gesture gesture(String name) {
        return new Gesture(name);
    }

    /** A drag; each change starts from the state before the drag. */
    public final class Gesture {
        private final String name;
        private final State before = state();

        private Gesture(String name) {
            this.name = name;
        }

        /** Replaces the previous change of the drag. */
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

    /** Records that a project was written to disk. */
    public void markSaved(Project written) {
        saved = written;
        state.set(new State(project(), state().selection()));
    }

    /** Records that the project differs from the disk, whatever is undone. */
    public void markUnsaved() {
        saved = Project.empty("");
    }
}
