package ivrik.app.closeup;

import ivrik.app.session.State;

import javafx.scene.Node;

/** One close-up: controls, and how they show what there is. */
interface Part {
    Node node();

    /** Shows a state for whose kind of look this part was made. */
    void show(State state);

    /** Whether all of it is there. */
    default boolean isWhole() {
        return true;
    }

    /** Makes the next piece of what is not there yet, for the state that is shown. */
    default void more() {}
}
