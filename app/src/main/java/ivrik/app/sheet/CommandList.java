package ivrik.app.sheet;

import ivrik.app.control.Controls;
import ivrik.app.control.Finding;

import javafx.collections.FXCollections;
import javafx.collections.transformation.FilteredList;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

import java.util.List;

/** All commands, found by typing part of their names. */
public final class CommandList extends VBox {
    private final TextField search = new TextField();
    private final ListView<Command> list = new ListView<>();
    private final Label word = new Label();
    private final FilteredList<Command> found;

    public CommandList(List<Command> commands, Sheets sheets) {
        found = new FilteredList<>(FXCollections.observableArrayList(commands));
        Label head = new Label("Commands");
        head.getStyleClass().add("title");
        search.setPromptText("Type part of what you want to do");
        search.setId("command-search");
        Controls.explain(search, "Arrow keys choose, Enter does it, Escape goes back");
        list.setItems(found);
        list.setPrefHeight(420);
        list.setFocusTraversable(false);
        list.setCellFactory(view -> new Row());
        list.getSelectionModel().select(0);
        search.textProperty()
                .addListener(
                        (o, a, text) -> {
                            found.setPredicate(c -> matches(c, text));
                            word.setText("");
                            if (found.isEmpty()) {
                                nearest(text, commands);
                            }
                            list.getSelectionModel().select(0);
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
                        list.getSelectionModel().select(next);
                        list.scrollTo(Math.max(0, next - 6));
                        e.consume();
                    }
                });
        word.getStyleClass().add("quiet");
        word.setId("command-word");
        word.managedProperty().bind(word.textProperty().isNotEmpty());
        getChildren().addAll(head, search, word, list);
        setMaxWidth(560);
    }

    /** Shows what there is of the word that is most like what was typed. */
    private void nearest(String text, List<Command> commands) {
        String near =
                Finding.nearest(text, commands.stream().map(Command::title).toList()).orElse(null);
        if (near == null) {
            word.setText("Nothing is called so");
            return;
        }
        word.setText("Nothing is called so; this is near:");
        found.setPredicate(c -> matches(c, near));
    }

    public TextField search() {
        return search;
    }

    private static boolean matches(Command command, String text) {
        return Finding.fits(text, command.menu() + " " + command.title() + " " + command.words());
    }

    /** Its words are others for each command; what they stand in is made once. */
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
