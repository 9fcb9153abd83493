package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.app.session.View.Band;
import ivrik.app.session.View.Face;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.separation.Separations;
import ivrik.core.treatment.Shift;

import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Control;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextInputControl;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.text.Text;

import org.junit.jupiter.api.Test;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.BiConsumer;
import java.util.function.Consumer;

/** Every control has an explanation, and no text of the window is cut off or overlaps another. */
class TextFitsTest extends InAWindow {

    private static void each(Node node, Consumer<Node> what) {
        if (!node.isVisible()) {
            return;
        }
        what.accept(node);
        if (node instanceof Parent p) {
            p.getChildrenUnmodifiable().forEach(n -> each(n, what));
        }
    }

    private static boolean isControl(Node node) {
        return node instanceof ButtonBase
                || node instanceof TextInputControl
                || node instanceof ChoiceBox<?>;
    }

    @Test
    void everyControlHasAnExplanation() {
        Driver.pulses(2);
        Set<String> silent = new TreeSet<>(silent("the empty window"));
        d.importFile(Material.still(folder, "a.png", 0.3));
        for (String look : List.of("videotape", "anaglyph", "film-print")) {
            Driver.run(() -> d.window.session().editLook("Look", l -> BuiltInLooks.named(look)));
            for (Face face : Face.values()) {
                Driver.run(() -> d.window.view().face.set(face));
                Driver.pulses(2);
                silent.addAll(silent(face.toString()));
            }
        }
        for (Band band : Band.values()) {
            Driver.run(() -> d.window.view().band.set(band));
            Driver.pulses(2);
            silent.addAll(silent(band.toString()));
        }
        Driver.run(() -> d.window.view().band.set(Band.NONE));
        for (Runnable sheet :
                List.<Runnable>of(
                        () -> d.window.export(),
                        () -> d.window.sheetActions().sequence(),
                        () -> d.window.sheetActions().memory(),
                        () -> d.window.sheetActions().lens(),
                        () -> d.window.commandList(),
                        () -> d.window.actions().keys().show(Commands.of(d.window)),
                        () -> d.window.actions().looks().save())) {
            Driver.run(sheet);
            Driver.pulses(2);
            silent.addAll(silent("a sheet"));
            Driver.run(() -> d.window.sheets().away());
        }
        d.fromMenu("source-a", "Footage settings...");
        Driver.until("the sheet is open", () -> d.look("#source-done") != null);
        silent.addAll(silent("how it is read"));
        assertThat(silent).isEmpty();
    }

    private Set<String> silent(String where) {
        return found(
                (node, silent) -> {
                    boolean own =
                            !node.getClass().getName().startsWith("com.sun.")
                                    && !(node.getParent() instanceof Control);
                    if (isControl(node) && own && ((Control) node).getTooltip() == null) {
                        String text = node instanceof Labeled l ? l.getText() : "a field";
                        silent.add(where + ": " + node.getId() + " " + text);
                    }
                });
    }

    /** Collects the faults of every visible node. */
    private Set<String> found(BiConsumer<Node, Set<String>> look) {
        return Driver.on(
                () -> {
                    d.root().applyCss();
                    ((Parent) d.root()).layout(); // includes the layout of controls built just now
                    Set<String> found = new TreeSet<>();
                    each(d.root(), node -> look.accept(node, found));
                    return found;
                });
    }

    /** A window size in pixels and a text size in per cent. */
    private record Room(int width, int height, int text) {}

    /** From a small window to a large window with text of twice the size. */
    @Test
    void noTextIsCutOffOrOverlaps() throws IOException {
        Driver.run(() -> d.resize(1000, 700));
        Driver.run(() -> d.window.view().textScale.set(1.5));
        Driver.pulses(3);
        assertThat(Driver.on(() -> d.root().minWidth(-1))).as("empty").isLessThanOrEqualTo(1000);
        Path demo = Material.demo(folder.resolve("demo"));
        Driver.run(() -> d.window.open(demo));
        Driver.until("the sheet is open", () -> !d.window.session().project().layers().isEmpty());
        d.settle();
        Set<String> cut = new TreeSet<>();
        for (Room room :
                List.of(
                        new Room(1000, 640, 100),
                        new Room(1000, 700, 150),
                        new Room(1280, 800, 150),
                        new Room(1600, 1000, 200),
                        new Room(3840, 2160, 100))) {
            Driver.run(() -> d.window.view().textScale.set(room.text / 100.0));
            Driver.run(() -> d.resize(room.width, room.height));
            Driver.pulses(3);
            assertThat(Driver.on(() -> d.root().minWidth(-1)))
                    .as("no control is outside the window")
                    .isLessThanOrEqualTo(room.width);
            for (Face face : Face.values()) {
                Driver.run(() -> d.window.view().face.set(face));
                Driver.pulses(3);
                cut.addAll(cut(room + " " + face));
                cut.addAll(overlapping(room + " " + face));
            }
            for (Band band : List.of(Band.BLENDS, Band.TAKES, Band.NONE)) {
                Driver.run(() -> d.window.view().band.set(band));
                Driver.pulses(2);
                cut.addAll(cut(room + " " + band));
                cut.addAll(overlapping(room + " " + band));
            }
            Driver.run(() -> d.window.actions().channels().ask());
            Driver.pulses(2);
            cut.addAll(cut(room + " a question"));
            Driver.run(() -> d.window.sheets().away());
        }
        assertThat(cut).isEmpty();
    }

    /** Texts that overlap a neighbour. */
    private Set<String> overlapping(String where) {
        return found(
                (node, found) -> {
                    if (node instanceof HBox
                            || node instanceof FlowPane
                            || node instanceof GridPane) {
                        found.addAll(overlapping(where, (Pane) node));
                    }
                });
    }

    private static List<String> overlapping(String where, Pane pane) {
        List<Labeled> words =
                pane.getChildren().stream()
                        .filter(n -> n instanceof Labeled && n.isVisible() && n.isManaged())
                        .map(Labeled.class::cast)
                        .toList();
        List<String> found = new ArrayList<>();
        for (int i = 0; i < words.size(); i++) {
            for (int k = i + 1; k < words.size(); k++) {
                Bounds a = words.get(i).getBoundsInParent();
                Bounds b = words.get(k).getBoundsInParent();
                boolean across = a.getMaxX() - 1 > b.getMinX() && b.getMaxX() - 1 > a.getMinX();
                boolean down = a.getMaxY() - 1 > b.getMinY() && b.getMaxY() - 1 > a.getMinY();
                if (across && down) {
                    found.add(
                            where
                                    + ": "
                                    + words.get(i).getText()
                                    + " over "
                                    + words.get(k).getText());
                }
            }
        }
        return found;
    }

    /** The controls of four channels side by side fit the controls panel. */
    @Test
    void fourChannelsFitTheControlsPanel() {
        d.importFile(Material.still(folder, "a.png", 0.3));
        Driver.run(
                () ->
                        d.window
                                .session()
                                .editLook(
                                        "Inks",
                                        l ->
                                                Look.atRest(
                                                        "inks",
                                                        Separations.named("cmyk"),
                                                        new Shift())));
        for (double text : new double[] {1, 1.5}) {
            Driver.run(() -> d.window.view().textScale.set(text));
            for (Face face : List.of(Face.TREATMENT, Face.SEPARATE, Face.REJOIN, Face.MASK)) {
                Driver.run(() -> d.window.view().face.set(face));
                Driver.pulses(3);
                ScrollPane controls = (ScrollPane) d.find(".controls");
                assertThat(Driver.on(() -> ((Region) controls.getContent()).minWidth(-1)))
                        .as("%s at %s", face, text)
                        .isLessThanOrEqualTo(
                                Driver.on(() -> controls.getViewportBounds().getWidth()));
            }
        }
    }

    /** Texts cut to almost nothing. */
    private Set<String> cut(String where) {
        return found(
                (node, cut) -> {
                    if (node instanceof Labeled l && l.getText() != null) {
                        String shown = shown(l);
                        if (shown != null
                                && !shown.equals(l.getText())
                                && shown.length() < Math.min(l.getText().length(), 9)) {
                            cut.add(where + ": " + l.getText() + " -> " + shown);
                        }
                    }
                });
    }

    private static String shown(Labeled label) {
        return label.getChildrenUnmodifiable().stream()
                .filter(Text.class::isInstance)
                .map(n -> ((Text) n).getText())
                .findFirst()
                .orElse(null);
    }
}
