package ivrik.app.closeup;

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
 * A close-up whose controls are made piece by piece, from top to bottom: together it takes longer than a key press may.
 *
 * @param <T> what its controls show
 */
abstract class PieceByPiece<T> extends VBox implements Part {
    /** What is told of each new state. */
    final List<Consumer<T>> showers = new ArrayList<>();

    final Session session;
    private final Deque<Runnable> pieces = new ArrayDeque<>();

    /** What is to be shown of a state, if it is there. */
    private final Function<State, Optional<T>> shown;

    PieceByPiece(Session session, Function<State, Optional<T>> shown) {
        this.session = session;
        this.shown = shown;
        getStyleClass().add("close-up-body");
    }

    /** To be made when it is its turn, beneath what is there then. */
    final void add(Supplier<? extends Node> made) {
        pieces.add(() -> getChildren().add(made.get()));
    }

    /** To be done one by one, each in its turn. */
    final void addAll(Collection<Runnable> more) {
        pieces.addAll(more);
    }

    @Override
    public final boolean isWhole() {
        return pieces.isEmpty();
    }

    @Override
    public final void more() {
        int told = showers.size();
        pieces.remove().run();
        List<Consumer<T>> untold = showers.subList(told, showers.size());
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
