package ivrik.app.widget;

import javafx.beans.value.ChangeListener;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.ScrollPane;

/** Scrolls a pane to its focused control. */
public final class ScrollToFocus {
    private static final double ROOM = 12;

    private ScrollToFocus() {}

    public static void install(ScrollPane pane) {
        ChangeListener<Node> focus = (o, was, is) -> reveal(pane, is);
        ChangeListener<Scene> scene =
                (o, was, is) -> {
                    if (was != null) {
                        was.focusOwnerProperty().removeListener(focus);
                    }
                    if (is != null) {
                        is.focusOwnerProperty().addListener(focus);
                    }
                };
        pane.sceneProperty().addListener(scene);
    }

    private static void reveal(ScrollPane pane, Node node) {
        Node content = pane.getContent();
        if (node == null || content == null || !isIn(node, content)) {
            return;
        }
        Bounds there = content.sceneToLocal(node.localToScene(node.getLayoutBounds()));
        double seen = pane.getViewportBounds().getHeight();
        double over = content.getLayoutBounds().getHeight() - seen;
        if (over <= 0) {
            return;
        }
        double from = pane.getVvalue() * over;
        double least = there.getMaxY() + ROOM - seen;
        double most = there.getMinY() - ROOM;
        double to = Math.min(most, Math.max(from, least));
        pane.setVvalue(Math.clamp(to / over, 0, 1));
    }

    private static boolean isIn(Node node, Node content) {
        Node at = node;
        while (at != null && at != content) {
            at = at.getParent();
        }
        return at != null;
    }
}
