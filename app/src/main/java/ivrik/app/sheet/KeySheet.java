package ivrik.app.sheet;

import ivrik.app.sheet.KeyList.Entry;
import ivrik.app.widget.Controls;

import javafx.geometry.HPos;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** All keys on one sheet, in columns of equal length. */
public final class KeySheet extends VBox {
    private static final int COLUMNS = 3;

    private final Button done;

    /**
     * @param save saves the page for printing
     */
    public KeySheet(Map<String, List<Entry>> groups, Runnable save, Sheets sheets) {
        super(10);
        setId("key-sheet");
        Label head = new Label("Keys");
        head.getStyleClass().add("title");
        ScrollPane scroll = new ScrollPane(columns(groups));
        scroll.setFitToWidth(true);
        scroll.setPrefHeight(520);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        Button print =
                Controls.button(
                        "keys-save", "Save for printing...", "Saves all keys as a web page", save);
        done = sheets.done("keys-done", "Closes the sheet");
        HBox end = new HBox(8, print, done);
        end.setAlignment(Pos.CENTER_RIGHT);
        getChildren().addAll(head, scroll, end);
        setMaxWidth(960);
    }

    /** The button with the initial focus. */
    public Node first() {
        return done;
    }

    private static HBox columns(Map<String, List<Entry>> groups) {
        int lines = groups.values().stream().mapToInt(entries -> entries.size() + 2).sum();
        HBox columns = new HBox(28);
        List<Node> column = new ArrayList<>();
        int filled = 0;
        for (Map.Entry<String, List<Entry>> group : groups.entrySet()) {
            column.add(group(group.getKey(), group.getValue()));
            filled += group.getValue().size() + 2;
            if (filled >= lines / COLUMNS && columns.getChildren().size() < COLUMNS - 1) {
                columns.getChildren().add(column(column));
                column = new ArrayList<>();
                filled = 0;
            }
        }
        columns.getChildren().add(column(column));
        return columns;
    }

    private static VBox column(List<Node> groups) {
        VBox column = new VBox(14);
        column.getChildren().setAll(groups);
        column.setPrefWidth(100);
        HBox.setHgrow(column, Priority.ALWAYS);
        return column;
    }

    private static VBox group(String menu, List<Entry> entries) {
        Label head = new Label(menu);
        head.getStyleClass().add("heading");
        GridPane grid = new GridPane(8, 2);
        ColumnConstraints titles = new ColumnConstraints();
        titles.setHgrow(Priority.ALWAYS);
        grid.getColumnConstraints().add(titles);
        for (int i = 0; i < entries.size(); i++) {
            Label title = new Label(entries.get(i).title());
            title.setWrapText(true);
            Label key = Controls.quiet(entries.get(i).key());
            GridPane.setHalignment(key, HPos.RIGHT);
            grid.addRow(i, title, key);
        }
        return new VBox(4, head, grid);
    }
}
