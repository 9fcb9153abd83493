package ivrik.app.shell;

import ivrik.app.control.Controls;
import ivrik.app.session.Session;

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

/** What an empty project shows in the picture's place: how to begin. */
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
                        "It comes apart into red, green and blue at once.\n"
                                + "Then an arrow key moves the lane you work on.");
        text.getStyleClass().add("quiet");
        text.setTextAlignment(javafx.scene.text.TextAlignment.CENTER);
        Button first =
                Controls.button(
                        "welcome-bring-in",
                        "Bring in a clip...",
                        "Movies, stills, vector graphics, numbered sequences. Key: Ctrl+I",
                        bringIn);
        first.getStyleClass().add("primary");
        Button second =
                Controls.button(
                        "welcome-demo",
                        "Open the demo",
                        "A short film with looks, bursts and titles to try things on",
                        demo);
        HBox buttons = new HBox(8, first, second);
        buttons.setAlignment(Pos.CENTER);
        recent.setAlignment(Pos.CENTER);
        getChildren().addAll(title, text, buttons, recent);
    }

    /**
     * Seen while nothing is there.
     *
     * @param opening whether something is on its way
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
            Controls.explain(button, "Opens this project again");
            button.setOnAction(e -> open.accept(path));
            recent.getChildren().add(button);
        }
    }
}
