package ivrik.app.tray;

import ivrik.app.control.Controls;
import ivrik.app.picture.Fault;
import ivrik.core.project.Source;

import javafx.geometry.Pos;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
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
 * One source in the tray: its picture, name and length, and what is wrong with it. It stays the same node
 * while its picture or its fault changes, so that no press on it is lost.
 */
final class FootageCard extends VBox {
    private static final double LOW = 27;
    private static final double WIDE = 44;

    private final Source source;
    private final Tray.Actions actions;
    private final ImageView picture = new ImageView();
    private final Label missing = new Label("missing: find it");
    private final Label damaged = new Label("damaged here");
    private final Tooltip tip = new Tooltip();

    /**
     * @param low in a low row, its picture beside its name
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
        show((Fault) null);
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
                        Controls.item("Add it to the picture", () -> actions.place(source)),
                        Controls.item(
                                "Lay it over all, on a layer of its own",
                                () -> actions.layOver(source)),
                        Controls.item("Replace its file...", () -> actions.replace(source)),
                        Controls.item("Take it out", () -> actions.remove(source)));
        if (source.kind().isFile()) {
            menu.getItems()
                    .add(2, Controls.item("How it is read...", () -> actions.reading(source)));
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

    /** Its small picture; null for none yet. */
    void show(Image image) {
        picture.setImage(image);
    }

    /** What keeps it from being shown; null for nothing. */
    void show(Fault fault) {
        boolean gone = fault != null && fault.missing();
        put(missing, gone);
        put(damaged, fault != null && !gone);
        picture.setVisible(!gone);
        tip.setText(
                (source.kind().isFile() ? source.path() : "made in Ivrik")
                        + "\n"
                        + source.size()
                        + ", "
                        + length()
                        + (fault == null || gone ? "" : "\n" + fault.words())
                        + (gone
                                ? "\nThe file is missing: click to point to where it is now"
                                : "\nDouble-click to add it to the picture"));
    }

    private static void put(Label word, boolean shown) {
        word.setVisible(shown);
        word.setManaged(shown);
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
