package ivrik.app.sheet;

import ivrik.app.control.Controls;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Dial;
import ivrik.core.look.KeptLook;
import ivrik.core.look.Look;

import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
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

/** A look to be kept: its title, what it is for, words to find it by, and where it goes. */
public final class SaveLookSheet extends VBox {
    private static final int NOTE_ROWS = 3;

    private final Look look;
    private final Predicate<Look> isKept;
    private final TextField title = new TextField();
    private final TextField tags = new TextField();
    private final TextArea note = new TextArea();
    private final Label word = Controls.hint("");
    private final Button keep = new Button("Keep in my looks");
    private final Button toFile = new Button("To a file...");

    /** What can be done with it. */
    public interface Actions {
        /** Among the user's own. */
        void keep(Look look);

        /** Wherever the user says. */
        void write(Look look);
    }

    /**
     * @param isKept whether the user has one of that name already
     */
    public SaveLookSheet(Look look, Predicate<Look> isKept, Actions actions, Sheets sheets) {
        this.look = look;
        this.isKept = isKept;
        Label head = new Label("Save the look");
        head.getStyleClass().add("title");
        title.setId("save-title");
        Controls.explain(title, "What the look is called");
        title.setText(look.shownName());
        title.textProperty().addListener((o, a, b) -> check());
        tags.setId("save-tags");
        Controls.explain(tags, "Other words by which it is found, with commas between");
        tags.setPromptText("night, neon, soft ...");
        tags.setText(String.join(", ", look.tags()));
        note.setId("save-note");
        Controls.explain(note, "Shown wherever the look is offered");
        note.setPromptText("What it is for, in a sentence or two");
        note.setText(look.note());
        note.setWrapText(true);
        note.setPrefRowCount(NOTE_ROWS);
        GridPane grid = new GridPane(12, 10);
        grid.addRow(0, Controls.quiet("Title"), title);
        grid.addRow(1, Controls.quiet("Found by"), tags);
        grid.addRow(2, Controls.quiet("Note"), note);
        grid.addRow(3, Controls.quiet("Dials"), dials());
        for (Node field : List.of(title, tags, note)) {
            GridPane.setHgrow(field, Priority.ALWAYS);
        }
        Button back =
                Controls.button("save-back", "Back", "Nothing is saved. Key: Escape", sheets::away);
        toFile.setId("save-to-file");
        toFile.setTooltip(new Tooltip("A file that others can drop on their window"));
        toFile.setOnAction(e -> leave(sheets, () -> actions.write(made())));
        keep.setId("save-keep");
        Controls.explain(keep, "It is there in any project, until you throw it out");
        keep.getStyleClass().add("primary");
        keep.setDefaultButton(true);
        keep.setOnAction(e -> leave(sheets, () -> actions.keep(made())));
        HBox buttons = new HBox(8, back, toFile, keep);
        buttons.setAlignment(Pos.CENTER_RIGHT);
        getChildren().addAll(head, grid, word, buttons);
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
                                ? "none yet: the right button on any number puts it on one"
                                : String.join(
                                        "\n", look.dials().stream().map(this::words).toList()));
        dials.setId("save-dials");
        return dials;
    }

    private String words(Dial dial) {
        return dial.title()
                + ": "
                + (dial.words().isEmpty()
                        ? Controls.plain(dial.min())
                                + " to "
                                + Controls.plain(dial.max())
                                + " "
                                + dial.unit()
                        : String.join(", ", dial.words()));
    }

    /** The look as it would be kept. */
    private Look made() {
        List<String> found =
                Arrays.stream(tags.getText().split(","))
                        .map(String::strip)
                        .filter(t -> !t.isEmpty())
                        .distinct()
                        .toList();
        return KeptLook.of(look, title.getText(), note.getText(), found);
    }

    private void check() {
        String name = KeptLook.name(title.getText());
        boolean untitled = title.getText().isBlank();
        boolean builtIn = BuiltInLooks.find(name).isPresent();
        keep.setDisable(untitled || builtIn);
        toFile.setDisable(untitled || builtIn);
        word.setText(
                untitled
                        ? "It needs a title."
                        : builtIn
                                ? "A look of that name comes with Ivrik: give yours another."
                                : isKept.test(made())
                                        ? "One of your looks has that name; it is replaced."
                                        : "It is found among your looks, in any project.");
    }

    public Node first() {
        return title;
    }
}
