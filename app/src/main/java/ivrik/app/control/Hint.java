package ivrik.app.control;

import javafx.event.EventHandler;
import javafx.scene.Node;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;

import java.util.function.Supplier;

/** What is said of a node while the pointer rests on it; made when that is over it for the first time, which most never see. */
public final class Hint {
    private Hint() {}

    public static void install(Node node, Supplier<String> words) {
        node.addEventHandler(
                MouseEvent.MOUSE_ENTERED,
                new EventHandler<>() {
                    @Override
                    public void handle(MouseEvent entered) {
                        node.removeEventHandler(MouseEvent.MOUSE_ENTERED, this);
                        Tooltip.install(node, new Tooltip(words.get()));
                    }
                });
    }
}
