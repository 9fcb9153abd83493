package ivrik.app.shell;

import ivrik.app.session.Session;
import ivrik.app.widget.Controls;

import javafx.beans.binding.Bindings;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

import java.nio.file.Path;
import java.util.List;
import java.util.function.Consumer;

/** Shown in place of the picture in an empty project: how to start. */
final class Welcome extends VBox {
    private final VBox recent = new VBox(2);
    private final Consumer<Path> open;

    Welcome(Runnable bringIn, Runnable demo, Consumer<Path> open) {
        this.open = open;
        getStyleClass().add("welcome");
        Label title = new Label("Drop a clip here");
        title.getStyleClass().add("title");
        Label text =
                new Label(
                        "The clip is separated into red, green and blue.\n"
                                + "Arrow keys shift the selected channel.");
        text.getStyleClass().add("quiet");
        text.setTextAlignment(javafx.scene.text.TextAlignment.CENTER);
        Button first =
                Controls.button(
                        "welcome-import",
                        "Import...",
                        "Movies, stills, vector graphics, numbered sequences. Key: Ctrl+I",
                        bringIn);
        first.getStyleClass().add("primary");
        Button second =
                Controls.button(
                        "welcome-demo",
                        "Open demo",
                        "A short project with looks, bursts and titles",
                        demo);
        HBox buttons = new HBox(8, first, second);
        buttons.setAlignment(Pos.CENTER);
        recent.setAlignment(Pos.CENTER);
        getChildren().addAll(title, text, buttons, recent);
    }

    /**
     * Shown while the project is empty.
     *
     * @param opening whether a project is being opened
     */
    void showWhileEmpty(Session session, ReadOnlyBooleanProperty opening) {
        visibleProperty()
                .bind(
                        Bindings.createBooleanBinding(
                                () -> session.project().isEmpty() && !opening.get(),
                                session.stateProperty(),
                                opening));
    }

    void showRecent(List<String> projects) {
        recent.getChildren().clear();
        for (String project : projects.subList(0, Math.min(4, projects.size()))) {
            Path path = Path.of(project);
            Button button = new Button(path.getFileName() + "   " + path.getParent());
            button.getStyleClass().add("plain");
            button.setMnemonicParsing(false);
            Controls.explain(button, "Opens this recent project");
            button.setOnAction(e -> open.accept(path));
            recent.getChildren().add(button);
        }
    }
}
