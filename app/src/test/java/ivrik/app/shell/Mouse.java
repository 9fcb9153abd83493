package ivrik.app.shell;

import javafx.event.EventType;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;

/** Mouse events with modifier keys, which the robot of the Headless platform omits. */
final class Mouse {
    private Mouse() {}

    /** Fires an event of the primary button at a position in a node. */
    static void fire(
            Node node,
            EventType<MouseEvent> kind,
            double x,
            double y,
            boolean shift,
            boolean control) {
        Point2D at = Driver.on(() -> node.localToScene(x, y));
        MouseEvent event =
                new MouseEvent(
                        kind,
                        at.getX(),
                        at.getY(),
                        at.getX(),
                        at.getY(),
                        MouseButton.PRIMARY,
                        1,
                        shift,
                        control,
                        false,
                        false,
                        true,
                        false,
                        false,
                        true,
                        false,
                        true,
                        null);
        Driver.run(() -> node.fireEvent(event));
    }
}
