package ivrik.app.sheet;

import ivrik.app.session.RecoveryOffer;
import ivrik.app.widget.Controls;
import ivrik.media.file.RecoverableWork;
import ivrik.media.file.TimeText;

import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

import java.nio.file.Path;
import java.util.List;

/**
 * Lists recovered work to be opened or discarded one by one. Closing the sheet keeps everything.
 */
public final class RecoveredWorkSheet extends VBox {
    private final Sheets sheets;
    private final Actions actions;
    private final VBox rows = new VBox(12);
    private final Button later = new Button("Decide later");
    private Button first = later;

    /** Operations on recovered work. */
    public interface Actions {
        void recover(RecoverableWork lost);

        void discard(RecoverableWork lost);
    }

    /**
     * @param journal this window's own journal
     */
    public RecoveredWorkSheet(
            List<RecoveryOffer> all, Path journal, Actions actions, Sheets sheets) {
        this.sheets = sheets;
        this.actions = actions;
        setSpacing(16);
        Label head = new Label("Recovered work");
        head.getStyleClass().add("title");
        Label text =
                quiet(
                        all.isEmpty()
                                ? "No recovered work. While you work, unsaved changes are backed up"
                                        + " within two seconds to\n"
                                        + journal
                                        + "\nand offered here after a crash."
                                : "Ivrik closed before these changes were saved. They are kept"
                                      + " until you recover or discard them. Recovering opens them;"
                                      + " the project file does not change until you save.");
        later.setId("recovered-later");
        Controls.explain(later, "Keeps all recovered work");
        later.setText(all.isEmpty() ? "OK" : "Decide later");
        later.setOnAction(e -> sheets.away());
        for (int i = 0; i < all.size(); i++) {
            rows.getChildren().add(row(all.get(i), i));
        }
        first.getStyleClass().add("primary");
        first.setDefaultButton(true);
        HBox end = new HBox(later);
        end.setAlignment(Pos.CENTER_RIGHT);
        getChildren().addAll(head, text, rows, end);
        setMaxWidth(620);
    }

    private HBox row(RecoveryOffer offer, int number) {
        RecoverableWork lost = offer.work();
        Button take = new Button("Recover");
        take.setId("take-" + number);
        Controls.explain(
                take, "Opens the recovered work. The project file does not change until you save");
        take.setMinWidth(Region.USE_PREF_SIZE);
        take.setOnAction(
                e -> {
                    sheets.away();
                    actions.recover(lost);
                });
        if (number == 0) {
            first = take;
        }
        Button away = new Button("Discard");
        Controls.explain(away, "Deletes this recovered work permanently");
        away.setId("discard-" + number);
        away.setMinWidth(Region.USE_PREF_SIZE);
        String what = offer.name();
        Label name = new Label(what);
        Label when = quiet("backed up " + TimeText.of(lost.kept()) + where(lost));
        VBox texts = new VBox(2, name, when);
        HBox.setHgrow(texts, Priority.ALWAYS);
        HBox row = new HBox(8, texts, away, take);
        row.setAlignment(Pos.CENTER_LEFT);
        away.setOnAction(
                asked -> {
                    away.setText("Discard " + what + " permanently");
                    away.setOnAction(confirmed -> discard(lost, row));
                });
        return row;
    }

    private void discard(RecoverableWork lost, HBox row) {
        actions.discard(lost);
        rows.getChildren().remove(row);
        if (rows.getChildren().isEmpty()) {
            sheets.away();
        }
    }

    private static String where(RecoverableWork lost) {
        return lost.elsewhere().map(machine -> " on " + machine).orElse("")
                + lost.project().map(p -> ", of " + p).orElse(", untitled");
    }

    private static Label quiet(String text) {
        Label label = new Label(text);
        label.setWrapText(true);
        label.getStyleClass().add("quiet");
        return label;
    }

    /** The safe choice, with the initial focus. */
    public Button first() {
        return first;
    }
}
