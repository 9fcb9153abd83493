package ivrik.app.widget;

import javafx.beans.value.ChangeListener;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;
import javafx.scene.Scene;

import java.util.List;

/** Listens while a node is in a window, so that replaced nodes are released. */
public final class ListenWhileShown {
    private ListenWhileShown() {}

    /** Runs an action on each change, and when the node is added to a window. */
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
