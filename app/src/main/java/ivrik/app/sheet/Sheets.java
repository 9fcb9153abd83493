package ivrik.app.sheet;

import ivrik.app.widget.Controls;

import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;

/**
 * The window's content with at most one sheet above; further sheets wait. Closing a sheet restores the focus.
 */
public final class Sheets extends StackPane {
    private final StackPane background = new StackPane();
    private final Deque<Runnable> waiting = new ArrayDeque<>();
    private Runnable onClosed = () -> {};
    private Node before;

    public Sheets(Node content) {
        background.getStyleClass().add("sheet-background");
        background.setVisible(false);
        getChildren().addAll(content, background);
    }

    /** Whether a node belongs to the visible sheet. */
    public boolean holds(Node node) {
        Node at = node;
        while (at != null && at != background) {
            at = at.getParent();
        }
        return at != null && isShowing();
    }

    public boolean isShowing() {
        return background.isVisible();
    }

    /** Shows a sheet after all earlier ones were closed. */
    public void show(Region sheet, Node focus) {
        if (isShowing()) {
            waiting.add(() -> show(sheet, focus));
            return;
        }
        before = getScene() == null ? null : getScene().getFocusOwner();
        sheet.getStyleClass().add("sheet");
        sheet.setMaxHeight(Region.USE_PREF_SIZE);
        background.getChildren().setAll(sheet);
        background.setVisible(true);
        focus.requestFocus();
    }

    /** Adds an action for closing the present sheet. */
    public void onClosed(Runnable action) {
        onClosed = action;
    }

    public void away() {
        if (isShowing()) {
            Runnable action = onClosed;
            onClosed = () -> {};
            background.setVisible(false);
            background.getChildren().clear();
            if (before != null) {
                before.requestFocus();
            }
            action.run();
            if (!waiting.isEmpty()) {
                waiting.remove().run();
            }
        }
    }

    /** The closing button of a sheet whose changes take effect at once. */
    Button done(String id, String help) {
        Button done = Controls.button(id, "Close", help, this::away);
        done.getStyleClass().add("primary");
        return done;
    }

    /** The bottom row of a sheet. */
    static HBox end(Button button) {
        HBox end = new HBox(button);
        end.setAlignment(Pos.CENTER_RIGHT);
        return end;
    }

    /** An answer to a question. */
    public record Choice(String title, Runnable action) {}

    /** Asks a question; the first choice is the default and must be safe. */
    public void ask(String title, String text, List<Choice> choices) {
        Label body = new Label(text);
        body.setWrapText(true);
        ask(title, body, choices);
    }

    /** Asks a question, with pictures or text below the title. */
    public void ask(String title, Node body, List<Choice> choices) {
        Label head = new Label(title);
        head.getStyleClass().add("title");
        FlowPane buttons = new FlowPane(8, 8); // stacked if long
        buttons.setAlignment(Pos.CENTER_RIGHT);
        for (Choice choice : choices.reversed()) {
            Button button = new Button(choice.title());
            button.setId("choice-" + choices.indexOf(choice));
            button.setMinWidth(Region.USE_PREF_SIZE);
            button.setOnAction(
                    e -> {
                        away();
                        choice.action().run();
                    });
            buttons.getChildren().add(button);
        }
        Button first = (Button) buttons.getChildren().getLast();
        first.getStyleClass().add("primary");
        first.setDefaultButton(true);
        VBox sheet = new VBox(head, body, buttons);
        sheet.setMaxWidth(520);
        show(sheet, first);
    }

    /** Shows a message. */
    public void report(String title, String text) {
        ask(title, text, List.of(new Choice("OK", () -> {})));
    }
}
