package ivrik.app.sheet;

import ivrik.app.control.Controls;
import ivrik.app.session.LostOffer;
import ivrik.media.file.LostWork;
import ivrik.media.file.When;

import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

import java.nio.file.Path;
import java.util.List;

/** Work that was never saved: taken back or thrown away piece by piece. Put away, it keeps all. */
public final class KeptWork extends VBox {
    private final Sheets sheets;
    private final Actions actions;
    private final VBox rows = new VBox(12);
    private final Button later = new Button("Keep for later");
    private Button first = later;

    /** What is done with a piece. */
    public interface Actions {
        void takeBack(LostWork lost);

        void throwAway(LostWork lost);
    }

    /**
     * @param journal where this window keeps its own work
     */
    public KeptWork(List<LostOffer> all, Path journal, Actions actions, Sheets sheets) {
        this.sheets = sheets;
        this.actions = actions;
        setSpacing(16);
        Label head = new Label("Work that was not saved");
        head.getStyleClass().add("title");
        Label text =
                quiet(
                        all.isEmpty()
                                ? "There is none. What is not saved is written aside every second"
                                        + " while you work, here to\n"
                                        + journal
                                        + "\nand offered back after a crash."
                                : "Ivrik ended before this was saved. It is kept until you take it"
                                      + " back or throw it away. Taking it back leaves the file on"
                                      + " the disk as it is until you save.");
        later.setId("kept-later");
        Controls.explain(later, "All of it stays where it is");
        later.setText(all.isEmpty() ? "Understood" : "Keep for later");
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

    private HBox row(LostOffer offer, int number) {
        LostWork lost = offer.work();
        Button take = new Button("Take it back");
        take.setId("take-" + number);
        Controls.explain(take, "Opens it; the file on the disk stays until you save");
        take.setMinWidth(Region.USE_PREF_SIZE);
        take.setOnAction(
                e -> {
                    sheets.away();
                    actions.takeBack(lost);
                });
        if (number == 0) {
            first = take;
        }
        Button away = new Button("Throw away");
        Controls.explain(away, "Deletes what was written aside, for good");
        away.setId("throw-" + number);
        away.setMinWidth(Region.USE_PREF_SIZE);
        String what = offer.name();
        Label name = new Label(what);
        Label when = quiet("kept " + When.words(lost.kept()) + where(lost));
        VBox words = new VBox(2, name, when);
        HBox.setHgrow(words, Priority.ALWAYS);
        HBox row = new HBox(8, words, away, take);
        row.setAlignment(Pos.CENTER_LEFT);
        away.setOnAction(
                e -> {
                    if (away.getText().equals("Throw away")) {
                        away.setText("For good: throw away " + what);
                        return;
                    }
                    actions.throwAway(lost);
                    rows.getChildren().remove(row);
                    if (rows.getChildren().isEmpty()) {
                        sheets.away();
                    }
                });
        return row;
    }

    private static String where(LostWork lost) {
        return lost.elsewhere().map(machine -> " on " + machine).orElse("")
                + lost.project().map(p -> ", of " + p).orElse(", without a name");
    }

    private static Label quiet(String text) {
        Label label = new Label(text);
        label.setWrapText(true);
        label.getStyleClass().add("quiet");
        return label;
    }

    /** What the safe choice is. */
    public Button first() {
        return first;
    }
}
