package ivrik.app.widget;

import ivrik.app.theme.Palette;
import ivrik.core.separation.Ink;

import javafx.geometry.Side;
import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.CustomMenuItem;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Rectangle;

import java.util.List;
import java.util.function.Consumer;

/** A colour swatch that opens a choice: plain inks, a field for RRGGBB, and the default. */
public final class InkWell extends Button {
    private static final List<Ink> PLAIN =
            List.of(
                    Ink.RED,
                    Ink.YELLOW,
                    Ink.GREEN,
                    Ink.CYAN,
                    Ink.BLUE,
                    Ink.MAGENTA,
                    Ink.WHITE,
                    Ink.BLACK);

    private final Rectangle swatch = new Rectangle(22, 14);
    private final TextField hex = new TextField();
    private final Label fault = new Label();
    private final ContextMenu menu = new ContextMenu();
    private final Consumer<Ink> listener;
    private Ink rest = Ink.WHITE;

    /**
     * @param listener receives the chosen colour
     */
    public InkWell(String help, Consumer<Ink> listener) {
        this.listener = listener;
        getStyleClass().add("ink-well");
        setGraphic(swatch);
        swatch.getStyleClass().add("swatch");
        setTooltip(new Tooltip(help));
        setAccessibleText(help);
        HBox inks = new HBox(4);
        PLAIN.forEach(ink -> inks.getChildren().add(plain(ink)));
        hex.setPrefColumnCount(7);
        hex.setId("ink-hex");
        hex.setOnAction(e -> typed());
        fault.getStyleClass().add("quiet");
        Button own = new Button("default");
        own.getStyleClass().add("plain");
        own.setOnAction(e -> choose(rest));
        HBox line = new HBox(8, new Label("RRGGBB"), hex, own);
        line.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
        CustomMenuItem item = new CustomMenuItem(new VBox(8, inks, line, fault), false);
        item.getStyleClass().add("ink-menu");
        menu.getItems().add(item);
        setOnAction(e -> open());
    }

    private void open() {
        fault.setText("");
        menu.show(this, Side.BOTTOM, 0, 2);
        hex.requestFocus();
        hex.selectAll();
    }

    private Button plain(Ink ink) {
        Rectangle patch = new Rectangle(16, 16, Palette.colourOf(ink));
        patch.getStyleClass().add("swatch");
        Button button = new Button();
        button.setGraphic(patch);
        button.getStyleClass().add("plain");
        button.setAccessibleText(ink.hex());
        button.setOnAction(e -> choose(ink));
        return button;
    }

    private void typed() {
        try {
            choose(Ink.parse(hex.getText().strip().replaceFirst("^#", "")));
        } catch (IllegalArgumentException e) {
            fault.setText(e.getMessage());
        }
    }

    private void choose(Ink ink) {
        menu.hide();
        listener.accept(ink);
    }

    /** Sets the default colour. */
    public void setRest(Ink ink) {
        rest = ink;
    }

    /** Shows a colour without notifying the listener. */
    public void show(Ink ink) {
        swatch.setFill(Palette.colourOf(ink));
        hex.setText(ink.hex());
    }
}
