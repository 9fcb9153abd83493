package ivrik.app.controls;

import ivrik.app.session.State;

import javafx.scene.Node;

/** One panel of controls. */
interface ControlsPart {
    Node node();

    /** Shows a state whose look has the needs that the panel was built for. */
    void show(State state);

    /** Whether all controls are built. */
    default boolean isWhole() {
        return true;
    }

    /** Builds the next missing control for the shown state. */
    default void more() {}
}
