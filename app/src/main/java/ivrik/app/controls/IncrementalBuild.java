package ivrik.app.controls;

import ivrik.app.session.Session;
import ivrik.app.session.State;

import javafx.scene.Node;
import javafx.scene.layout.VBox;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;

/**
 * A panel whose controls are built one by one, from top to bottom, because building all takes longer than a
 * key press may.
 *
 * @param <T> what the controls show
 */
abstract class IncrementalBuild<T> extends VBox implements ControlsPart {
    /** Receive each new state. */
    final List<Consumer<T>> showers = new ArrayList<>();

    final Session session;
    private final Deque<Runnable> pieces = new ArrayDeque<>();

    /** The shown part of a state, if it exists. */
    private final Function<State, Optional<T>> shown;

    IncrementalBuild(Session session, Function<State, Optional<T>> shown) {
        this.session = session;
        this.shown = shown;
        getStyleClass().add("controls-body");
    }

    /** Adds a control to be built in its turn. */
    final void add(Supplier<? extends Node> made) {
        pieces.add(() -> getChildren().add(made.get()));
    }

    /** Adds tasks to be run in their turn. */
    final void addAll(Collection<Runnable> more) {
        pieces.addAll(more);
    }

    @Override
    public final boolean isWhole() {
        return pieces.isEmpty();
    }

    @Override
    public final void more() {
        int reported = showers.size();
        pieces.remove().run();
        List<Consumer<T>> untold = showers.subList(reported, showers.size());
        shown.apply(session.state()).ifPresent(now -> untold.forEach(s -> s.accept(now)));
    }

    @Override
    public final Node node() {
        return this;
    }

    @Override
    public final void show(State state) {
        shown.apply(state).ifPresent(now -> showers.forEach(s -> s.accept(now)));
    }
}
