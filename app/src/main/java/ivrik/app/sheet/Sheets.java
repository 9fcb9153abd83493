package ivrik.app.sheet;

import ivrik.app.control.Controls;

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
 * The window's content, and at most one sheet over it; others wait until it is put away. Put
 * away, what had the focus before has it again.
 */
public final class Sheets extends StackPane {
    private final StackPane ground = new StackPane();
    private final Deque<Runnable> waiting = new ArrayDeque<>();
    private Runnable onAway = () -> {};
    private Node before;

    public Sheets(Node content) {
        ground.getStyleClass().add("sheet-ground");
        ground.setVisible(false);
        getChildren().addAll(content, ground);
    }

    /** Whether a node is part of the sheet that is showing. */
    public boolean holds(Node node) {
        Node at = node;
        while (at != null && at != ground) {
            at = at.getParent();
        }
        return at != null && isShowing();
    }

    public boolean isShowing() {
        return ground.isVisible();
    }

    /** Shows a sheet, once the present one and those that wait already have been put away. */
    public void show(Region sheet, Node focus) {
        if (isShowing()) {
            waiting.add(() -> show(sheet, focus));
            return;
        }
        before = getScene() == null ? null : getScene().getFocusOwner();
        sheet.getStyleClass().add("sheet");
        sheet.setMaxHeight(Region.USE_PREF_SIZE);
        ground.getChildren().setAll(sheet);
        ground.setVisible(true);
        focus.requestFocus();
    }

    /** What else is to happen when the present sheet is put away. */
    public void onAway(Runnable action) {
        onAway = action;
    }

    public void away() {
        if (isShowing()) {
            Runnable action = onAway;
            onAway = () -> {};
            ground.setVisible(false);
            ground.getChildren().clear();
            if (before != null) {
                before.requestFocus();
            }
            action.run();
            if (!waiting.isEmpty()) {
                waiting.remove().run();
            }
        }
    }

    /** The button that puts a sheet away whose changes are in force already. */
    Button done(String id, String help) {
        Button done = Controls.button(id, "Done", help, this::away);
        done.getStyleClass().add("primary");
        return done;
    }

    /** What a sheet ends with. */
    static HBox end(Button button) {
        HBox end = new HBox(button);
        end.setAlignment(Pos.CENTER_RIGHT);
        return end;
    }

    /** A choice offered by a question. */
    public record Choice(String title, Runnable action) {}

    /** Says something and offers choices, the first the most likely. */
    public void ask(String title, String text, List<Choice> choices) {
        Label head = new Label(title);
        head.getStyleClass().add("title");
        Label body = new Label(text);
        body.setWrapText(true);
        FlowPane buttons = new FlowPane(8, 8); // beneath each other where they are long
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

    /** Says something that has only to be read. */
    public void tell(String title, String text) {
        ask(title, text, List.of(new Choice("Understood", () -> {})));
    }
}
