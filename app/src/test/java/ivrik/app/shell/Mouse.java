package ivrik.app.shell;

import javafx.event.EventType;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;

/** A mouse with keys held, which the robot of the Headless platform does not tell. */
final class Mouse {
    private Mouse() {}

    /** The first button, at a place in a node. */
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
