package ivrik.app.widget;

import javafx.event.EventHandler;
import javafx.scene.Node;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;

import java.util.function.Supplier;

/** A tooltip created on first use, because most are never shown. */
public final class TooltipText {
    private TooltipText() {}

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
