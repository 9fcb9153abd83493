package ivrik.app.sheet;

import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

import java.util.List;

/** The window's content, and at most one sheet over it. Escape puts a sheet away. */
public final class Sheets extends StackPane {
    private final StackPane ground = new StackPane();
    private Runnable onAway = () -> {};

    public Sheets(Node content) {
        ground.getStyleClass().add("sheet-ground");
        ground.setVisible(false);
        getChildren().addAll(content, ground);
        ground.setOnKeyPressed(
                e -> {
                    if (e.getCode() == KeyCode.ESCAPE) {
                        away();
                        e.consume();
                    }
                });
    }

    public boolean isShowing() {
        return ground.isVisible();
    }

    /** Shows a sheet in place of any other. */
    public void show(Region sheet, Node focus) {
        away();
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
            action.run();
        }
    }

    /** A choice offered by a question. */
    public record Choice(String title, Runnable action) {}

    /** Says something and offers choices, the first the most likely. */
    public void ask(String title, String text, List<Choice> choices) {
        Label head = new Label(title);
        head.getStyleClass().add("title");
        Label body = new Label(text);
        body.setWrapText(true);
        HBox buttons = new HBox(8);
        buttons.setAlignment(Pos.CENTER_RIGHT);
        for (Choice choice : choices.reversed()) {
            Button button = new Button(choice.title());
            button.setId("choice-" + choices.indexOf(choice));
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
