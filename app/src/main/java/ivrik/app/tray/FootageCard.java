package ivrik.app.tray;

import ivrik.app.picture.SourceFault;
import ivrik.app.widget.Controls;
import ivrik.core.project.Source;

import javafx.geometry.Pos;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.Tooltip;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

import java.util.Locale;

/**
 * A source in the tray: thumbnail, name, duration and error. The node stays the same when the thumbnail or
 * error changes, so that no click is lost.
 */
final class FootageCard extends VBox {
    private static final double LOW = 27;
    private static final double WIDE = 44;

    private final Source source;
    private final Tray.Actions actions;
    private final ImageView picture = new ImageView();
    private final Label missing = new Label("missing: relink");
    private final Label damaged = new Label("damaged at this frame");
    private final Tooltip tip = new Tooltip();

    /**
     * @param low whether the thumbnail is beside the name, in a low row
     */
    FootageCard(Source source, boolean low, Tray.Actions actions) {
        this.source = source;
        this.actions = actions;
        picture.setPreserveRatio(true);
        double high = low ? LOW : Tray.PICTURE_HEIGHT;
        picture.setFitHeight(high);
        missing.setWrapText(true);
        damaged.getStyleClass().add("fault");
        StackPane.setAlignment(damaged, Pos.BOTTOM_LEFT);
        StackPane frame = new StackPane(picture, missing, damaged);
        frame.getStyleClass().add("picture");
        frame.setMinSize(low ? WIDE : 60, high);
        frame.setPrefHeight(high);
        HBox words = words();
        if (low) {
            frame.setMaxWidth(WIDE);
            HBox.setHgrow(words, Priority.ALWAYS);
            words.setAlignment(Pos.CENTER_LEFT);
            missing.setText("?");
            damaged.setText("!");
            getChildren().add(new HBox(6, frame, words));
        } else {
            getChildren().addAll(frame, words);
        }
        getStyleClass().add("card");
        setId("source-" + source.id());
        setFocusTraversable(true);
        Tooltip.install(this, tip);
        setOnMouseClicked(
                e -> {
                    requestFocus();
                    if (e.getClickCount() == (isMissing() ? 1 : 2)) {
                        open();
                    }
                });
        setOnKeyPressed(
                e -> {
                    if (e.getCode() == KeyCode.ENTER) {
                        open();
                    }
                });
        ContextMenu menu = menu();
        setOnContextMenuRequested(e -> menu.show(this, e.getScreenX(), e.getScreenY()));
        show((SourceFault) null);
    }

    private HBox words() {
        Label name = new Label(source.name());
        name.setMinWidth(20);
        name.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(name, Priority.ALWAYS);
        Label length = new Label(length());
        length.getStyleClass().add("quiet");
        length.setMinWidth(USE_PREF_SIZE);
        return new HBox(4, name, length);
    }

    private ContextMenu menu() {
        ContextMenu menu =
                new ContextMenu(
                        Controls.item("Add to sequence", () -> actions.place(source)),
                        Controls.item("Add as new layer on top", () -> actions.addOnTop(source)),
                        Controls.item("Replace file...", () -> actions.replace(source)),
                        new SeparatorMenuItem(),
                        Controls.item("Remove from project", () -> actions.remove(source)));
        if (source.kind().isFile()) {
            menu.getItems()
                    .add(2, Controls.item("Footage settings...", () -> actions.reading(source)));
        }
        return menu;
    }

    private boolean isMissing() {
        return missing.isVisible();
    }

    private void open() {
        if (isMissing()) {
            actions.replace(source);
        } else {
            actions.place(source);
        }
    }

    /** Sets the thumbnail; null for none. */
    void show(Image image) {
        picture.setImage(image);
    }

    /** Sets the error; null for none. */
    void show(SourceFault fault) {
        boolean gone = fault != null && fault.missing();
        put(missing, gone);
        put(damaged, fault != null && !gone);
        picture.setVisible(!gone);
        tip.setText(
                (source.kind().isFile() ? source.path() : "created in this project")
                        + "\n"
                        + source.size()
                        + ", "
                        + length()
                        + (fault == null || gone ? "" : "\n" + fault.message())
                        + (gone
                                ? "\nFile missing. Click to relink it"
                                : "\nDouble-click to add to the sequence"));
    }

    private static void put(Label label, boolean shown) {
        label.setVisible(shown);
        label.setManaged(shown);
    }

    private String length() {
        return switch (source.kind()) {
            case VECTOR -> "vector";
            case TITLE -> "title";
            case SOLID -> "colour";
            case STILL -> "still";
            default ->
                    String.format(
                            Locale.ROOT, "%.1f s", source.frames() / source.rate().toDouble());
        };
    }
}
