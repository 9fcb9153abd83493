package ivrik.app.tray;

import ivrik.app.widget.TooltipText;
import ivrik.core.look.Look;

import javafx.geometry.Pos;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;

/** A look in the tray: thumbnail and name. */
final class LookCard extends HBox {
    private static final double WIDE = 48;
    private static final double HIGH = 27;

    private final ImageView picture = new ImageView();

    LookCard(Look look, Runnable use) {
        picture.setFitWidth(WIDE);
        picture.setFitHeight(HIGH);
        picture.setPreserveRatio(true);
        StackPane frame = new StackPane(picture);
        frame.getStyleClass().add("picture");
        frame.setMinSize(WIDE, HIGH);
        frame.setMaxSize(WIDE, HIGH);
        Label name = new Label(look.displayName());
        name.setMaxWidth(Double.MAX_VALUE);
        name.setWrapText(true);
        name.setMinHeight(USE_PREF_SIZE);
        HBox.setHgrow(name, Priority.ALWAYS);
        getChildren().addAll(frame, name);
        setAlignment(Pos.CENTER_LEFT);
        getStyleClass().addAll("card", "look-card");
        setId("look-" + look.name());
        setFocusTraversable(true);
        TooltipText.install(
                this, () -> look.note() + "\nDouble-click to apply to the selected layer");
        setOnMouseClicked(
                e -> {
                    requestFocus();
                    if (e.getClickCount() == 2) {
                        use.run();
                    }
                });
        setOnKeyPressed(
                e -> {
                    if (e.getCode() == KeyCode.ENTER) {
                        use.run();
                    }
                });
    }

    /** Adds items to the context menu. */
    void offer(MenuItem... items) {
        ContextMenu menu = new ContextMenu(items);
        setOnContextMenuRequested(e -> menu.show(this, e.getScreenX(), e.getScreenY()));
    }

    void show(Image image) {
        picture.setImage(image);
    }
}
