package ivrik.app.sheet;

import ivrik.app.widget.Controls;
import ivrik.app.widget.Search;

import javafx.collections.FXCollections;
import javafx.collections.transformation.FilteredList;
import javafx.collections.transformation.SortedList;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.stream.Collectors;

/** All commands, filtered by typing. */
public final class CommandList extends VBox {
    private final TextField search = new TextField();
    private final ListView<Command> list = new ListView<>();
    private final Label message = new Label();
    private final FilteredList<Command> found;
    private final SortedList<Command> ordered;

    public CommandList(List<Command> commands, Sheets sheets) {
        found = new FilteredList<>(FXCollections.observableArrayList(commands));
        ordered = new SortedList<>(found);
        Label head = new Label("Find command");
        head.getStyleClass().add("title");
        search.setPromptText("Search commands");
        search.setId("command-search");
        Controls.explain(search, "Arrow keys select, Enter runs the command, Escape closes");
        list.setItems(ordered);
        list.setPrefHeight(420);
        list.setFocusTraversable(false);
        list.setCellFactory(view -> new Row());
        list.getSelectionModel().select(0);
        search.textProperty()
                .addListener(
                        (o, a, text) -> {
                            show(text);
                            message.setText("");
                            if (found.isEmpty()) {
                                nearest(text, commands);
                            }
                            select(0);
                        });
        Runnable run =
                () -> {
                    Command chosen = list.getSelectionModel().getSelectedItem();
                    if (chosen != null) {
                        sheets.away();
                        chosen.run();
                    }
                };
        search.setOnAction(e -> run.run());
        list.setOnMouseClicked(e -> run.run());
        search.setOnKeyPressed(
                e -> {
                    int step = e.getCode() == KeyCode.DOWN ? 1 : e.getCode() == KeyCode.UP ? -1 : 0;
                    if (step != 0) {
                        int next =
                                Math.clamp(
                                        list.getSelectionModel().getSelectedIndex() + step,
                                        0,
                                        Math.max(0, found.size() - 1));
                        select(next);
                        e.consume();
                    }
                });
        message.getStyleClass().add("quiet");
        message.setId("command-text");
        message.managedProperty().bind(message.textProperty().isNotEmpty());
        getChildren().addAll(head, search, message, list);
        setMaxWidth(560);
    }

    private void select(int number) {
        list.getSelectionModel().select(number);
        list.scrollTo(Math.max(0, number - 6));
    }

    /** Shows the commands that match the most similar known word. */
    private void nearest(String text, List<Command> commands) {
        String near =
                Search.nearest(text, commands.stream().map(Command::title).toList()).orElse(null);
        if (near == null) {
            message.setText("No match");
            return;
        }
        message.setText("No match. Similar:");
        show(near);
    }

    public TextField search() {
        return search;
    }

    /** Shows the commands that fit a text, the best first; shorter titles precede longer ones. */
    private void show(String text) {
        Map<Command, OptionalInt> ranks =
                found.getSource().stream()
                        .collect(
                                Collectors.toMap(
                                        c -> (Command) c,
                                        c -> rank((Command) c, text),
                                        (a, b) -> a));
        ordered.setComparator(null);
        found.setPredicate(c -> ranks.get(c).isPresent());
        ordered.setComparator(
                Comparator.comparingInt((Command c) -> ranks.get(c).orElseThrow())
                        .thenComparing(c -> c.id().startsWith(Glossary.ID))
                        .thenComparingInt(c -> text.isBlank() ? 0 : c.title().length()));
    }

    private static OptionalInt rank(Command command, String text) {
        return Search.rank(text, command.title(), command.menu() + " " + command.keywords());
    }

    /** Nodes are created once and reused for other commands. */
    private static final class Row extends ListCell<Command> {
        private final Label title = new Label();
        private final Label menu = new Label();
        private final Label key = new Label();
        private final HBox line = new HBox(12, menu, title, key);

        Row() {
            HBox.setHgrow(title, Priority.ALWAYS);
            title.setMaxWidth(Double.MAX_VALUE);
            menu.getStyleClass().add("quiet");
            menu.setMinWidth(56);
            key.getStyleClass().addAll("number", "quiet");
        }

        @Override
        protected void updateItem(Command command, boolean empty) {
            super.updateItem(command, empty);
            boolean none = empty || command == null;
            title.setText(none ? "" : command.title());
            menu.setText(none ? "" : command.menu());
            key.setText(none ? "" : command.keyText());
            setGraphic(none ? null : line);
        }
    }
}
