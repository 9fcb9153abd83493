package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.app.desk.Desk;
import ivrik.app.pane.PicturePane;
import ivrik.app.session.Follow;
import ivrik.app.session.View;
import ivrik.app.sheet.Command;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.project.Project;
import ivrik.core.separation.Separation;
import ivrik.core.separation.Separations;
import ivrik.core.treatment.Gain;
import ivrik.media.encode.ExportFormat;
import ivrik.media.encode.ExportFormats;

import javafx.scene.Node;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.SplitPane;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import javafx.stage.Window;

import org.junit.jupiter.api.Test;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.stream.Stream;

/** Files, looks, keyframes and numbers respond as intended, and no input discards work. */
class NoSurpriseTest extends InAWindow {
    private Path still(String name, float value) {
        return Material.still(folder, name, value);
    }

    private Project project() {
        return d.window.session().project();
    }

    private double x(int channel) {
        return d.channels().get(channel).value("x").at(d.window.view().frame.get());
    }

    @Test
    void aLookFromTheTrayKeepsExistingWork() {
        d.importFile(still("a.png", 0.3f));
        lay("videotape");
        lay("film-print");
        assertThat(looks()).as("the first is unchanged").containsExactly("film-print");
        Driver.run(() -> d.window.session().undo());
        Driver.run(() -> d.window.session().undo());
        d.key(KeyCode.RIGHT);
        lay("videotape");
        assertThat(looks()).containsExactly("neutral", "videotape");
        assertThat(d.window.view().notice.get()).contains("was added on top of");
        assertThat(d.window.view().face.get()).isEqualTo(View.Face.LOOK);
        Driver.run(() -> d.window.session().undo());
        assertThat(looks()).containsExactly("neutral");
        assertThat(x(0)).isEqualTo(1);
    }

    /**
     * Sizes from a small window with large text to a large window, with three and four channels and up to
     * twelve columns.
     */
    @Test
    void everyWindowSizeIsLaidOutWithoutFaults() {
        List<Throwable> faults = new CopyOnWriteArrayList<>();
        Driver.run(
                () ->
                        Thread.currentThread()
                                .setUncaughtExceptionHandler(
                                        (t, e) ->
                                                Stream.of(e)
                                                        .filter(NoSurpriseTest::isOurs)
                                                        .forEach(faults::add)));
        d.importFile(still("a.png", 0.3f));
        for (String columns : List.of("rgb 12", "cmyk 0", "cmyk 12")) {
            String[] words = columns.split(" ");
            Separation model = Separations.named(words[0]);
            int count = Integer.parseInt(words[1]);
            Driver.run(() -> d.window.session().editLook("Columns", l -> columns(model, count)));
            for (double text : new double[] {1, 2}) {
                for (int[] size : new int[][] {{1000, 640}, {1280, 800}}) {
                    Driver.run(() -> d.window.view().textScale.set(text));
                    Driver.run(() -> d.resize(size[0], size[1]));
                    for (double share : new double[] {0.005, 0.3}) {
                        Driver.run(() -> desk().setDividerPositions(share));
                        for (String step :
                                count == 0
                                        ? List.<String>of()
                                        : List.of("gain-11", "gain-0", "gain-6")) {
                            Driver.run(() -> d.window.session().selectCell(step, 1));
                            Driver.pulses(1);
                        }
                    }
                }
            }
        }
        assertThat(faults).isEmpty();
    }

    /** Excludes faults of the headless platform, whose pictures have one fixed size. */
    private static boolean isOurs(Throwable fault) {
        return Stream.of(fault.getStackTrace())
                .anyMatch(e -> e.getClassName().startsWith("ivrik."));
    }

    private Desk desk() {
        return (Desk) d.look("Desk");
    }

    private static Look columns(Separation model, int count) {
        Look look = Look.atRest("columns", model);
        for (int i = 0; i < count; i++) {
            look =
                    look.withStepAdded(
                            Step.atRest("gain-" + i, new Gain(), model.channels().size()));
        }
        return look;
    }

    @Test
    void thePictureIsLargeAndTheRowsFillTheRest() {
        d.importFile(Material.still(folder, "wide.png", 0.5));
        Driver.run(() -> d.resize(1280, 800));
        d.settle();
        PicturePane pane = (PicturePane) d.find("PicturePane");
        double wide = Driver.on(() -> pane.zoom() * project().sequence().size().width());
        double high = Driver.on(() -> pane.zoom() * project().sequence().size().height());
        assertThat(Math.max(wide, high * 16 / 9)).isGreaterThanOrEqualTo(760);
        double row = Driver.on(() -> ((Region) d.look(".channel-head")).getHeight());
        assertThat(row).isEqualTo(46);
        Driver.run(() -> ((SplitPane) desk().getParent().getParent()).setDividerPositions(0.4));
        d.settle();
        assertThat(Driver.on(() -> ((Region) d.look(".channel-head")).getHeight()))
                .isGreaterThan(70);
    }

    @Test
    void quickNudgesAreOneUndoStep() {
        d.importFile(still("a.png", 0.3f));
        for (int i = 0; i < 4; i++) {
            d.key(KeyCode.RIGHT);
        }
        assertThat(x(0)).isEqualTo(4);
        Driver.sleep(1100);
        d.key(KeyCode.RIGHT);
        d.key(KeyCode.DIGIT2);
        d.key(KeyCode.RIGHT);
        assertThat(x(1)).isEqualTo(1);
        d.key(KeyCode.CONTROL, KeyCode.Z);
        assertThat(List.of(x(0), x(1)))
                .as("another channel is another undo step")
                .containsExactly(5.0, 0.0);
        d.key(KeyCode.CONTROL, KeyCode.Z);
        assertThat(x(0)).isEqualTo(4);
        d.key(KeyCode.CONTROL, KeyCode.Z);
        assertThat(x(0)).isZero();
    }

    @Test
    void zoomingByKeysStopsAtWholeMagnifications() {
        d.importFile(still("a.png", 0.3f));
        PicturePane pane = (PicturePane) d.find("PicturePane");
        d.key(KeyCode.DIGIT0);
        double fit = Driver.on(pane::zoom);
        Driver.run(() -> d.window.view().zoom.set(0.9));
        d.key(KeyCode.EQUALS);
        assertThat(Driver.on(pane::zoom)).isEqualTo(1);
        d.key(KeyCode.ADD);
        assertThat(Driver.on(pane::zoom)).isEqualTo(2);
        d.key(KeyCode.MINUS);
        d.key(KeyCode.SUBTRACT);
        assertThat(Driver.on(pane::zoom)).isEqualTo(0.5);
        d.key(KeyCode.DIGIT0);
        assertThat(Driver.on(pane::zoom)).isEqualTo(fit);
    }

    @Test
    void aCommandIsFoundBySynonymsAndMisspellings() {
        d.importFile(still("a.png", 0.3f));
        d.key(KeyCode.CONTROL, KeyCode.SPACE);
        Driver.run(() -> ((TextField) d.find("#command-search")).setText("peg"));
        Driver.pulses(2);
        assertThat(d.words()).contains("Set or delete keyframe");
        Driver.run(() -> ((TextField) d.find("#command-search")).setText("webp"));
        Driver.pulses(2);
        assertThat(d.words()).anyMatch(w -> w.startsWith("Export as ") && w.contains("WebP"));
        Driver.run(() -> ((TextField) d.find("#command-search")).setText("meaning burst"));
        Driver.pulses(2);
        assertThat(d.words()).contains("Glossary: burst");
        Driver.run(() -> ((TextField) d.find("#command-search")).setText("combinatoins"));
        Driver.pulses(2);
        assertThat(d.words()).contains("No match. Similar:", "Show channel combinations...");
        Driver.run(() -> ((TextField) d.find("#command-search")).setText("qqqqqqqqqqqq"));
        Driver.pulses(2);
        assertThat(d.words()).contains("No match").doesNotContain("Show channel combinations...");
    }

    /** While a slow look renders a large picture, the header says that its measure is outdated. */
    @Test
    void anOutdatedPictureIsMarked() {
        d.importFile(Material.still(folder, "large.png", 3000, 2000, 0.4));
        Label register = (Label) d.find("#register");
        assertThat(d.window.view().behind.get()).isFalse();
        Driver.run(() -> d.window.session().editLook("Slow", l -> BuiltInLooks.named("crt")));
        Driver.until("the message appears", () -> d.window.view().behind.get());
        assertThat(d.words()).contains("rendering");
        assertThat(register.getStyleClass()).contains("stale");
        d.settle();
        assertThat(d.words()).doesNotContain("rendering");
        assertThat(register.getStyleClass()).doesNotContain("stale");
    }

    @Test
    void formatAndEndingAgreeAndChoicesPersist() {
        d.importFile(still("a.png", 0.3f));
        d.files.project = folder.resolve("kept.ivrik");
        d.key(KeyCode.CONTROL, KeyCode.S);
        Driver.until("the project is saved", () -> d.window.session().isSaved());
        Driver.run(() -> d.window.export());
        Driver.run(() -> target().setText(folder.resolve("job1.png").toString()));
        assertThat(format()).isEqualTo(ExportFormats.PNG);
        Driver.run(() -> ((ChoiceBox<?>) d.find("#export-format")).getSelectionModel().select(3));
        assertThat(format()).isEqualTo(ExportFormats.FFV1);
        assertThat(d.text("#export-target")).endsWith("job1.mkv");
        Driver.run(() -> ((TextField) d.find("#export-to")).setText("2"));
        d.click("#export-start");
        Driver.until("the work is done", () -> d.text("#export-text").startsWith("Exported"));
        d.key(KeyCode.ESCAPE);
        Driver.run(() -> d.window.export());
        assertThat(format()).isEqualTo(ExportFormats.FFV1);
        assertThat(d.text("#export-to")).isEqualTo("2");
        assertThat(d.text("#export-target")).endsWith(".mkv");
        d.click("#export-for-animated-image");
        assertThat(format()).isEqualTo(ExportFormats.WEBP);
        assertThat(d.text("#export-target")).endsWith(".webp");
        d.close();
        d = new Driver(folder.resolve("data"));
        Driver.run(() -> d.window.open(folder.resolve("kept.ivrik")));
        Driver.until("the sheet is open", () -> !project().layers().isEmpty());
        d.settle();
        Driver.run(() -> d.window.export());
        assertThat(format()).as("at the next start").isEqualTo(ExportFormats.FFV1);
        assertThat(d.text("#export-to")).isEqualTo("2");
    }

    private TextField target() {
        return (TextField) d.find("#export-target");
    }

    private ExportFormat format() {
        return (ExportFormat) Driver.on(() -> ((ChoiceBox<?>) d.look("#export-format")).getValue());
    }

    private void lay(String look) {
        Driver.run(() -> d.find("#look-" + look).requestFocus());
        d.key(KeyCode.ENTER);
        d.settle();
    }

    private List<String> looks() {
        return Driver.on(
                () ->
                        project().layers().getFirst().looks().stream()
                                .map(l -> l.look().name())
                                .toList());
    }

    @Test
    void aKeyframeIsSetInAllFollowingChannels() {
        d.importFile(still("a.png", 0.3f));
        Driver.run(() -> d.window.view().follow.set(Follow.MIRRORED));
        d.key(KeyCode.P);
        assertThat(keyframes()).containsExactly(1, 0, 1);
        Driver.run(() -> d.window.view().frame.set(40));
        d.key(KeyCode.SHIFT, KeyCode.RIGHT);
        assertThat(keyframes()).containsExactly(2, 0, 2);
        assertThat(List.of(x(0), x(2))).containsExactly(10.0, -10.0);
        d.key(KeyCode.P);
        assertThat(keyframes()).containsExactly(1, 0, 1);
        Driver.run(() -> d.window.session().undo());
        assertThat(keyframes()).as("one undo step").containsExactly(2, 0, 2);
    }

    private List<Integer> keyframes() {
        return d.channels().stream().map(a -> a.value("x").keyframes().size()).toList();
    }

    @Test
    void theTooltipOfANumberIsBuiltOnHover() {
        d.importFile(still("a.png", 0.3f));
        Node number = d.find("#red-x");
        assertThat(hints(number)).isEmpty();
        for (int times = 0; times < 2; times++) {
            Mouse.fire(number, MouseEvent.MOUSE_ENTERED, 1, 1, false, false);
        }
        assertThat(hints(number)).singleElement().asString().contains("the arrow keys");
        assertThat(hints(number).getFirst().lines()).allMatch(line -> line.length() < 70);
    }

    private static List<String> hints(Node node) {
        return Driver.on(
                () ->
                        node.getProperties().values().stream()
                                .filter(Tooltip.class::isInstance)
                                .map(t -> ((Tooltip) t).getText())
                                .toList());
    }

    @Test
    void allKeysAreOnOneSheetAndAPageForPrinting() throws IOException {
        Path page = folder.resolve("keys.html");
        d.files.project = page;
        List<Command> all = Driver.on(() -> Commands.of(d.window));
        all.stream()
                .filter(c -> c.id().equals("keys"))
                .findFirst()
                .ifPresent(c -> Driver.run(c::run));
        Driver.pulses(2);
        assertThat(d.words()).contains("Keys", "Play or stop", "Add burst at playhead");
        d.click("#keys-save");
        Driver.until("the page is saved", () -> Files.exists(page));
        List<String> keys =
                all.stream()
                        .filter(c -> c.key() != null)
                        .map(c -> "<td>" + c.keyText() + "</td>")
                        .toList();
        assertThat(keys).hasSizeGreaterThan(100);
        assertThat(Files.readString(page)).contains(keys);
    }

    @Test
    void aNumberTakesDigitsOnlyWhileFocused() {
        d.importFile(still("a.png", 0.3f));
        d.key(KeyCode.DIGIT3);
        assertThat(d.window.session().state().channel()).isEqualTo(2);
        assertThat(x(0)).isZero();
        Driver.run(() -> d.find("#red-x").requestFocus());
        d.key(KeyCode.ENTER);
        d.type("12,5 px");
        d.key(KeyCode.ENTER);
        assertThat(x(0)).isEqualTo(12.5);
        d.key(KeyCode.DIGIT2);
        assertThat(d.window.session().state().channel()).isEqualTo(1);
        d.number("#red-x", "99999");
        assertThat(x(0)).isEqualTo(20000);
        assertThat(said()).containsExactly("Range: -20000.0 to +20000.0");
        d.click(d.find("#red-x"), 0.5, 0.5, 2, MouseButton.PRIMARY);
        d.key(KeyCode.BACK_SPACE);
        d.key(KeyCode.ENTER);
        assertThat(x(0)).as("no default button").isZero();
        Driver.run(() -> d.find("#red-x").requestFocus());
        d.key(KeyCode.ENTER);
        d.type("7");
        d.key(KeyCode.TAB);
        assertThat(x(0)).isEqualTo(7);
        assertThat(Driver.on(() -> d.find("#red-x").isFocused())).isFalse();
    }

    private static List<String> said() {
        return Driver.on(
                () ->
                        Window.getWindows().stream()
                                .filter(Tooltip.class::isInstance)
                                .map(w -> ((Tooltip) w).getText())
                                .toList());
    }
}
