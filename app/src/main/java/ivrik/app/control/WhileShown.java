package ivrik.app.control;

import javafx.beans.value.ChangeListener;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;
import javafx.scene.Scene;

import java.util.List;

/**
 * Listening that lasts as long as a node is in a window: what is made anew at every change is let go when it
 * is replaced.
 */
public final class WhileShown {
    private WhileShown() {}

    /** Does something whenever one of these changes, and when the node comes into a window. */
    public static void listen(Node node, Runnable then, ObservableValue<?>... to) {
        List<ObservableValue<?>> all = List.of(to);
        ChangeListener<Object> listener = (o, was, is) -> then.run();
        node.sceneProperty().addListener((o, was, is) -> changed(was, is, all, listener, then));
        if (node.getScene() != null) {
            changed(null, node.getScene(), all, listener, then);
        }
    }

    private static void changed(
            Scene was,
            Scene is,
            List<ObservableValue<?>> all,
            ChangeListener<Object> listener,
            Runnable then) {
        if (was == null && is != null) {
            all.forEach(each -> each.addListener(listener));
            then.run();
        } else if (was != null && is == null) {
            all.forEach(each -> each.removeListener(listener));
        }
    }
}
