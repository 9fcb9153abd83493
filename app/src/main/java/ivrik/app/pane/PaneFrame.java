package ivrik.app.pane;

import ivrik.app.session.View;
import ivrik.app.session.View.Show;

import javafx.beans.property.ObjectProperty;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

/** A pane with the strip above it that says and chooses what it shows. */
public final class PaneFrame extends BorderPane {
    private final Label detail = new Label();
    private final MenuButton choice = new MenuButton();

    public PaneFrame(View view, ObjectProperty<Show> show, PicturePane pane, Node... extras) {
        choice.getStyleClass().add("plain");
        choice.setTooltip(new Tooltip("What this pane shows"));
        for (Show each : Show.values()) {
            MenuItem item = new MenuItem(each.toString());
            item.setOnAction(e -> show.set(each));
            choice.getItems().add(item);
        }
        detail.getStyleClass().add("quiet");
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox strip = new HBox(choice, detail, gap);
        strip.getStyleClass().addAll("strip", "pane-head");
        strip.getChildren().addAll(extras);
        setTop(strip);
        setCenter(pane);
        Runnable name =
                () ->
                        choice.setText(
                                PicturePane.title(
                                        show.get(),
                                        view.without.get(),
                                        view.showHeld.get() && show.get() == Show.RESULT));
        show.addListener((o, a, b) -> name.run());
        view.without.addListener((o, a, b) -> name.run());
        view.showHeld.addListener((o, a, b) -> name.run());
        name.run();
    }

    /** Which shot and frame. */
    public void detail(String text) {
        detail.setText(text);
    }
}
