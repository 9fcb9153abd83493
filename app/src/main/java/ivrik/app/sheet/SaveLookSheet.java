package ivrik.app.sheet;

import ivrik.app.widget.Controls;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Dial;
import ivrik.core.look.Look;
import ivrik.core.look.PortableLook;

import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

import java.util.Arrays;
import java.util.List;
import java.util.function.Predicate;

/** Saves a look: title, description, tags and destination. */
public final class SaveLookSheet extends VBox {
    private static final int NOTE_ROWS = 3;

    private final Look look;
    private final Predicate<Look> isKept;
    private final TextField title = new TextField();
    private final TextField tags = new TextField();
    private final TextArea note = new TextArea();
    private final CheckBox movement = new CheckBox("include keyframes of dials");
    private final Label status = Controls.hint("");
    private final Button keep = new Button("Save to your looks");
    private final Button toFile = new Button("Export look...");

    /** Operations of the sheet. */
    public interface Actions {
        /** Saves to the user's looks. */
        void keep(Look look);

        /** Saves to any file. */
        void write(Look look);
    }

    /**
     * @param isKept whether a look of this name exists
     */
    public SaveLookSheet(Look look, Predicate<Look> isKept, Actions actions, Sheets sheets) {
        this.look = look;
        this.isKept = isKept;
        Label head = new Label("Save look");
        head.getStyleClass().add("title");
        title.setId("save-title");
        Controls.explain(title, "Name of the look");
        title.setText(look.displayName());
        title.textProperty().addListener((o, a, b) -> check());
        tags.setId("save-tags");
        Controls.explain(tags, "Search keywords, separated by commas");
        tags.setPromptText("night, neon, soft ...");
        boolean borrowed = PortableLook.hasBorrowedNote(look);
        tags.setText(borrowed ? "" : String.join(", ", look.tags()));
        note.setId("save-note");
        Controls.explain(note, "Shown with the look in the tray and in search");
        note.setPromptText("What the look is for, in one or two sentences");
        note.setText(borrowed ? PortableLook.description(look) : look.note());
        note.setWrapText(true);
        note.setPrefRowCount(NOTE_ROWS);
        GridPane grid = new GridPane(12, 10);
        grid.addRow(0, Controls.quiet("Name"), title);
        grid.addRow(1, Controls.quiet("Keywords"), tags);
        grid.addRow(2, Controls.quiet("Note"), note);
        grid.addRow(3, Controls.quiet("Dials"), dials());
        if (look.dials().stream().anyMatch(d -> d.value().isMoving())) {
            movement.setId("save-movement");
            Controls.explain(
                    movement,
                    "Saves the keyframes of the dials with the look. Off: the dials of the saved"
                            + " look rest, and the keyframes stay with this layer only");
            grid.addRow(4, Controls.quiet("Movement"), movement);
        }
        for (Node field : List.of(title, tags, note)) {
            GridPane.setHgrow(field, Priority.ALWAYS);
        }
        Button back =
                Controls.button(
                        "save-back", "Cancel", "Closes without saving. Key: Escape", sheets::away);
        toFile.setId("save-to-file");
        toFile.setTooltip(new Tooltip("Exports a look file that others can import"));
        toFile.setOnAction(e -> leave(sheets, () -> actions.write(made())));
        keep.setId("save-own");
        Controls.explain(keep, "Saves the look for use in all projects");
        keep.getStyleClass().add("primary");
        keep.setDefaultButton(true);
        keep.setOnAction(e -> leave(sheets, () -> actions.keep(made())));
        HBox buttons = new HBox(8, back, toFile, keep);
        buttons.setAlignment(Pos.CENTER_RIGHT);
        getChildren().addAll(head, grid, status, buttons);
        setMaxWidth(520);
        check();
    }

    private static void leave(Sheets sheets, Runnable action) {
        sheets.away();
        action.run();
    }

    private Node dials() {
        Label dials =
                Controls.hint(
                        look.dials().isEmpty()
                                ? "none: right-click a number to add it to a dial"
                                : String.join(
                                        "\n",
                                        look.dials().stream().map(this::description).toList()));
        dials.setId("save-dials");
        return dials;
    }

    private String description(Dial dial) {
        return dial.title()
                + ": "
                + (dial.choices().isEmpty()
                        ? Controls.plain(dial.min())
                                + " to "
                                + Controls.plain(dial.max())
                                + " "
                                + dial.unit()
                        : String.join(", ", dial.choices()));
    }

    /** The look as it will be saved. */
    private Look made() {
        List<String> found =
                Arrays.stream(tags.getText().split(","))
                        .map(String::strip)
                        .filter(t -> !t.isEmpty())
                        .distinct()
                        .toList();
        Look made = PortableLook.of(look, title.getText(), note.getText(), found);
        return movement.isSelected() ? made : PortableLook.withoutDialKeyframes(made);
    }

    private void check() {
        String name = PortableLook.name(title.getText());
        boolean untitled = title.getText().isBlank();
        boolean builtIn = BuiltInLooks.find(name).isPresent();
        keep.setDisable(untitled || builtIn);
        toFile.setDisable(untitled || builtIn);
        status.setText(
                untitled
                        ? "Enter a name."
                        : builtIn
                                ? "A built-in look has this name. Enter another name."
                                : isKept.test(made())
                                        ? "One of your looks has this name and will be replaced."
                                        : "Saved to your looks and available in all projects.");
    }

    public Node first() {
        return title;
    }
}
