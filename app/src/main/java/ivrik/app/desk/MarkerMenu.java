package ivrik.app.desk;

import ivrik.app.session.Session;
import ivrik.app.theme.Palette;
import ivrik.app.widget.Controls;
import ivrik.core.project.Marker;
import ivrik.core.separation.Ink;

import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.CustomMenuItem;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.shape.Rectangle;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** Finds markers under the pointer, and shows their menu with name and colour. */
final class MarkerMenu {
    private static final double GRAB_RADIUS = 6;
    private static final List<Ink> INKS =
            List.of(Ink.RED, Ink.YELLOW, Ink.GREEN, Ink.CYAN, Ink.BLUE, Ink.MAGENTA);

    private final Session session;
    private final ContextMenu menu = new ContextMenu();

    MarkerMenu(Session session) {
        this.session = session;
    }

    /** The marker at a position of the ruler. */
    Optional<Marker> at(TimeScale scale, double x, double y) {
        return y > Metrics.HEAD + 14
                ? Optional.empty()
                : session.project().markers().stream()
                        .filter(m -> Math.abs(scale.x(m.frame() + 0.5) - x) < GRAB_RADIUS)
                        .findFirst();
    }

    private void edit(String name, String id, UnaryOperator<Marker> change) {
        session.edit(
                name,
                p ->
                        p.withMarkers(
                                p.markers().stream()
                                        .map(m -> m.id().equals(id) ? change.apply(m) : m)
                                        .toList()));
    }

    void show(Marker marker, javafx.scene.Node owner, double screenX, double screenY) {
        TextField name = new TextField(marker.name());
        name.setId("marker-name");
        name.setPromptText("name");
        name.setOnAction(
                e -> {
                    String to = name.getText().strip();
                    edit("Rename marker", marker.id(), m -> m.withName(to));
                    menu.hide();
                });
        HBox inks = new HBox(4);
        INKS.forEach(ink -> inks.getChildren().add(ink(marker, ink)));
        MenuItem plain =
                Controls.item(
                        "Default colour",
                        () ->
                                edit(
                                        "Change marker colour",
                                        marker.id(),
                                        m -> m.withColour(Optional.empty())));
        MenuItem away =
                Controls.item(
                        "Delete marker",
                        () ->
                                session.edit(
                                        "Delete marker",
                                        p ->
                                                p.withMarkers(
                                                        p.markers().stream()
                                                                .filter(
                                                                        m ->
                                                                                !m.id().equals(
                                                                                                marker
                                                                                                        .id()))
                                                                .toList())));
        menu.getItems()
                .setAll(
                        new CustomMenuItem(name, false),
                        new CustomMenuItem(inks, false),
                        plain,
                        new SeparatorMenuItem(),
                        away);
        menu.show(owner, screenX, screenY);
        name.requestFocus();
    }

    private Button ink(Marker marker, Ink ink) {
        Rectangle swatch = new Rectangle(14, 14, Palette.colourOf(ink));
        Button button = new Button("", swatch);
        button.setId("marker-ink-" + ink.hex());
        button.getStyleClass().add("ink-well");
        button.setAccessibleText("Colour " + ink.hex());
        button.setOnAction(
                e -> {
                    edit("Change marker colour", marker.id(), m -> m.withColour(Optional.of(ink)));
                    menu.hide();
                });
        return button;
    }

    /** The markers with one moved to another frame. */
    static List<Marker> moved(List<Marker> all, Marker marker, long frame) {
        boolean taken =
                all.stream().anyMatch(m -> m.frame() == frame && !m.id().equals(marker.id()));
        return taken
                ? all
                : all.stream()
                        .map(m -> m.id().equals(marker.id()) ? m.withFrame(frame) : m)
                        .toList();
    }
}
