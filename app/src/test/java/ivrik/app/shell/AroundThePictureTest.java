package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.app.pane.PicturePane;
import ivrik.core.project.Source;

import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.TextField;
import javafx.scene.image.WritableImage;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.stage.Stage;
import javafx.stage.Window;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.IntStream;

/** The surroundings of the picture: zoom, a separate picture window, the clipboard, the tray. */
class AroundThePictureTest extends InAWindow {
    @BeforeEach
    void importFile() {
        d.importFile(Material.still(folder, "a.png", 0.3f));
    }

    private double x() {
        return d.channels().getFirst().value("x").at(0);
    }

    @Test
    void theMagnificationIsAMenuAndAField() {
        d.choose("#zoom", "400 %");
        assertThat(d.window.view().zoom.get()).isEqualTo(4);
        assertThat(d.text("#zoom")).isEqualTo("400 %");
        Driver.run(() -> ((javafx.scene.control.MenuButton) d.find("#zoom")).show());
        TextField field = (TextField) Driver.on(() -> d.inMenu("#zoom-field"));
        Driver.run(() -> field.setText("130 %"));
        Driver.run(() -> field.fireEvent(new javafx.event.ActionEvent()));
        assertThat(d.window.view().zoom.get()).isEqualTo(1.3, within(1e-9));
        d.choose("#zoom", "Fit");
        assertThat(d.window.view().zoom.get()).isZero();
    }

    @Test
    void theFrameFieldOpensBesideTheLoopButton() {
        Node field = d.find("#go-to-frame");
        Driver.run(field::requestFocus);
        d.key(KeyCode.ENTER);
        Node editor = Driver.on(() -> field.lookup(".text-field"));
        double loop =
                Driver.on(
                        () -> {
                            Node before = field.getParent().getChildrenUnmodifiable().get(1);
                            return before.localToScene(before.getLayoutBounds()).getMaxX();
                        });
        double left = Driver.on(() -> editor.localToScene(editor.getLayoutBounds()).getMinX());
        assertThat(left).isGreaterThanOrEqualTo(loop);
        d.key(KeyCode.ESCAPE);
    }

    @Test
    void theSplitLineStaysVisible() {
        Driver.run(() -> d.window.view().split.set(0.5));
        Driver.run(() -> d.window.view().zoom.set(30));
        Driver.run(() -> d.window.view().centre.set(new Point2D(0.1, 0.5)));
        Region pane = (Region) d.find("#picture-a");
        double at = 1 - 12 / Driver.on(pane::getWidth);
        d.drag(pane, at, 0.5, -200, 0);
        assertThat(d.window.view().split.get()).isLessThan(0.2);
    }

    @Test
    void arrowKeysUseTheChosenStep() {
        d.click("#nudge-5");
        d.key(KeyCode.RIGHT);
        d.key(KeyCode.SHIFT, KeyCode.RIGHT);
        assertThat(x()).isEqualTo(5.5);
        d.key(KeyCode.QUOTE);
        assertThat(d.window.view().nudge.get()).isEqualTo(1);
        d.key(KeyCode.LEFT);
        assertThat(x()).isEqualTo(4.5);
    }

    @Test
    void thePictureOpensInASeparateWindow() {
        d.key(KeyCode.SHIFT, KeyCode.F);
        d.settle();
        Stage own =
                Driver.on(
                        () ->
                                Window.getWindows().stream()
                                        .filter(w -> w.getScene().getRoot() instanceof PicturePane)
                                        .map(Stage.class::cast)
                                        .findFirst()
                                        .orElseThrow());
        PicturePane pane = (PicturePane) Driver.on(() -> own.getScene().getRoot());
        Driver.until("the pane shows the picture", () -> pane.shown() != null);
        assertThat(own.getTitle()).contains("frame 0");
        Driver.run(own::requestFocus);
        d.key(KeyCode.RIGHT);
        assertThat(x()).as("keys work there too").isEqualTo(1);
        Driver.run(own::close);
        assertThat(d.window.view().ownWindow.get()).isFalse();
    }

    @Test
    void framesAreCopiedAndPicturesPasted() {
        d.key(KeyCode.CONTROL, KeyCode.ALT, KeyCode.C);
        Driver.until("the item is copied", () -> Clipboard.getSystemClipboard().hasImage());
        assertThat(Driver.on(() -> Clipboard.getSystemClipboard().getImage().getWidth()))
                .isEqualTo(96);
        WritableImage image = new WritableImage(20, 10);
        image.getPixelWriter().setColor(3, 4, Color.rgb(200, 100, 50));
        ClipboardContent content = new ClipboardContent();
        content.putImage(image);
        Driver.run(() -> Clipboard.getSystemClipboard().setContent(content));
        d.key(KeyCode.CONTROL, KeyCode.ALT, KeyCode.V);
        Driver.until(
                "the file is imported", () -> d.window.session().project().sources().size() == 2);
        Source pasted = Driver.on(() -> d.window.session().project().sources().getLast());
        assertThat(pasted.kind()).isEqualTo(Source.Kind.STILL);
        assertThat(pasted.size()).hasToString("20x10");
        assertThat(Path.of(pasted.path())).exists();
    }

    @Test
    void theChannelsAreSavedFromTheWindow() throws IOException {
        Path channels = Files.createDirectory(folder.resolve("channels"));
        d.files.project = channels;
        Driver.run(() -> d.window.view().frame.set(1));
        d.key(KeyCode.CLOSE_BRACKET); // plays two frames
        Driver.run(() -> d.window.actions().channels().ask());
        d.click("#choice-2"); // selects grey channels
        Driver.until("the files are saved", () -> d.words().contains("Channels exported"));
        try (var files = Files.walk(channels)) {
            assertThat(files.filter(Files::isRegularFile).map(f -> f.getFileName().toString()))
                    .containsExactlyInAnyOrder(
                            "red-0000.png",
                            "red-0001.png",
                            "green-0000.png",
                            "green-0001.png",
                            "blue-0000.png",
                            "blue-0001.png");
        }
    }

    @Test
    void fortyClipsUseCompactRowsAndCanBeSearched() {
        List<Path> many =
                IntStream.range(0, 40)
                        .mapToObj(n -> Material.still(folder, "shot" + n + "-x.png", n / 50.0))
                        .toList();
        Driver.run(() -> d.window.take(many));
        Driver.until(
                "the files are imported",
                () -> d.window.session().project().sources().size() == 41);
        d.settle();
        assertThat(Driver.on(() -> d.find("#source-a").getLayoutBounds().getHeight()))
                .isLessThan(40);
        assertThat(Driver.on(() -> d.window.hasPicture())).isTrue();
        assertThat(Driver.on(() -> d.find("#import-footage").getLayoutBounds().getHeight()))
                .as("the footage is listed too")
                .isGreaterThan(20);
        assertThat(Driver.on(() -> shelf().getHeight())).isGreaterThan(100);
        javafx.geometry.Bounds looks =
                Driver.on(
                        () -> {
                            var look = d.find("#all-looks");
                            return look.localToScene(look.getLayoutBounds());
                        });
        assertThat(looks.getMinY()).as("looks are visible").isLessThan(500);
        Driver.run(() -> ((TextField) d.find("#footage-search")).setText("shot3"));
        assertThat(Driver.on(() -> d.look("#source-shot7-x"))).isNull();
        assertThat(Driver.on(() -> d.look("#source-shot33-x"))).isNotNull();
    }

    /** The scroll pane of the footage. */
    private javafx.scene.layout.Region shelf() {
        return (javafx.scene.layout.Region)
                d.look("#source-a").getParent().getParent().getParent().getParent();
    }
}
