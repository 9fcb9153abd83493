package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.app.session.View.Band;
import ivrik.app.session.View.Show;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.picture.Frame;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.project.Take;
import ivrik.core.project.Takes;
import ivrik.core.threads.Workers;
import ivrik.media.decode.MovieReader;
import ivrik.media.encode.ExportFormat;
import ivrik.media.encode.ExportFormats;

import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.TextField;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;

import org.junit.jupiter.api.Test;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/** Takes of a layer: saved, shown side by side, renamed, marked for export and exported. */
class TakeWindowTest extends OneFrame {
    private Layer layer() {
        return Driver.on(() -> d.window.session().state().layer().orElseThrow());
    }

    private List<Take> takes() {
        return layer().takes();
    }

    private void use(String look) {
        Driver.run(() -> d.window.session().editLook("Use " + look, l -> BuiltInLooks.named(look)));
        d.settle();
    }

    private void dial(String name, double to) {
        Driver.run(() -> d.window.session().editLook("Dial", l -> l.withDial(name, to)));
        d.settle();
    }

    private void keep() {
        d.key(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.T);
        d.settle();
    }

    private void sheet() {
        d.key(KeyCode.SHIFT, KeyCode.T);
        assertThat(d.window.view().band.get()).isEqualTo(Band.TAKES);
        d.settle();
    }

    private double redX(Take take) {
        return take.looks().getFirst().look().dial("red-x").value().at(0);
    }

    @Test
    void aTakeIsRestoredByAClickAndUndone() {
        use("rgb-split");
        dial("red-x", 4);
        keep();
        dial("red-x", 12);
        keep();
        keep();
        assertThat(takes()).as("equal results are cached once").hasSize(2);
        assertThat(d.window.view().notice.get()).contains("Already saved as Take 2");
        dial("red-x", 30);
        sheet();
        assertThat(d.words()).contains("Current");
        d.click("#tile-take-1");
        d.settle();
        assertThat(look().dial("red-x").value().at(0)).isEqualTo(4);
        assertThat(d.window.view().band.get()).isEqualTo(Band.NONE);
        Driver.run(() -> d.window.session().undo());
        assertThat(look().dial("red-x").value().at(0)).isEqualTo(30);
    }

    @Test
    void variantsAreSavedAsTakesFromTheirTiles() {
        use("rgb-split");
        dial("shake", 6);
        Look before = look();
        sheet();
        d.click("#takes-seeds");
        d.settle();
        d.click("#save-take-variant-2");
        d.settle();
        assertThat(takes()).extracting(Take::name).containsExactly("Seed 3");
        assertThat(takes().getFirst().looks().getFirst().look()).isEqualTo(before.withSeed(3));
        assertThat(look()).as("the project stays").isEqualTo(before);

        d.click("#takes-dials");
        d.settle();
        d.choose("#take-down", "Blue x");
        assertThat(d.words()).contains("Red x -50", "Red x 50", "Blue x -50", "Blue x 50");
        d.click("#save-take-variant-5");
        d.settle();
        assertThat(takes().getLast().name()).isEqualTo("Red x 50, Blue x -50");
        assertThat(redX(takes().getLast())).isEqualTo(50);
        assertThat(redX(takes().getFirst())).isZero();
    }

    @Test
    void aTakeIsRenamedMarkedAndDeleted() {
        use("rgb-split");
        dial("red-x", 4);
        keep();
        sheet();
        Driver.run(() -> d.find("#take-name-take-1").requestFocus());
        Driver.run(() -> ((TextField) d.find("#take-name-take-1")).clear());
        d.type("mk left");
        assertThat(d.window.session().project().markers())
                .as("letters are no shortcuts while typing")
                .isEmpty();
        d.key(KeyCode.ENTER);
        d.settle();
        assertThat(takes().getFirst().name()).isEqualTo("mk left");
        d.click("#mark-take-1");
        d.settle();
        assertThat(Takes.marked(d.window.session().project())).hasSize(1);
        d.click("#remove-take-1");
        d.settle();
        assertThat(takes()).isEmpty();
        Driver.run(() -> d.window.session().undo());
        assertThat(takes().getFirst().markedForExport()).isTrue();
    }

    @Test
    void allPlayTogetherAtTheSameFrame() {
        d.close();
        d = new Driver(folder.resolve("data-2"));
        d.importFile(Material.DEMO.resolve("media/tram.webm"));
        use("rgb-split");
        keep();
        dial("red-x", 20);
        keep();
        sheet();
        Driver.until("both appear", () -> picture(1) != null && picture(2) != null);
        Image first = picture(1);
        Image second = picture(2);
        d.click("#play-takes");
        Driver.until("both move", () -> picture(1) != first && picture(2) != second);
        d.click("#play-takes");
        d.settle();
        assertThat(picture(1)).isSameAs(first);
        assertThat(picture(2)).isSameAs(second);
    }

    private Image picture(int take) {
        return Driver.on(
                () -> ((ImageView) d.find("#tile-take-" + take).lookup(".image-view")).getImage());
    }

    /**
     * A look saved from the demo and applied to another clip gives three takes; two are compared, marked,
     * exported and packaged.
     */
    @Test
    void theStoryOfALookThatIsVaried() throws IOException {
        d.close();
        d = new Driver(folder.resolve("data"));
        Path demo = Material.demo(Files.createDirectory(folder.resolve("demo")));
        Driver.run(() -> d.window.open(demo));
        Driver.until("the demo is open", d.window::hasPicture);
        d.settle();
        assertThat(look().displayName()).isEqualTo("Night drift");
        Driver.run(() -> d.window.actions().looks().save());
        Driver.run(() -> ((TextField) d.find("#save-title")).setText("Amber"));
        d.click("#save-own");
        Driver.until("the tray shows the file", () -> d.look("#look-amber") != null);
        d.close();

        d = new Driver(folder.resolve("data"));
        d.importFile(Material.DEMO.resolve("media/lanterns.webm"));
        Driver.until("the tray shows the file", () -> d.look("#look-amber") != null);
        Driver.run(() -> d.find("#look-amber").requestFocus());
        d.key(KeyCode.ENTER);
        d.settle();
        for (double split : List.of(20.0, 60.0, 100.0)) {
            dial(look().dials().getFirst().name(), split);
            keep();
        }
        sheet();
        d.click("#left-take-1");
        d.click("#right-take-3");
        d.settle();
        assertThat(d.window.view().paneA.get()).isEqualTo(Show.TAKE);
        assertThat(d.text("#pane-a")).isEqualTo("Take: Take 1");
        assertThat(d.text("#pane-b")).isEqualTo("Take: Take 3");
        d.click("#mark-take-1");
        d.click("#mark-take-3");
        d.settle();
        Project project = d.window.session().project();

        Driver.run(() -> d.window.export());
        Driver.run(() -> choose(ExportFormats.PNG));
        Driver.run(() -> ((TextField) d.find("#export-to")).setText("0"));
        Driver.run(
                () ->
                        ((TextField) d.find("#export-target"))
                                .setText(folder.resolve("out-%04d.png").toString()));
        Driver.run(() -> ((CheckBox) d.find("#export-takes")).setSelected(true));
        assertThat(d.text("#export-target")).endsWith("out-{take}-%04d.png");
        d.click("#export-start");
        Driver.until("the work is done", () -> d.text("#export-text").startsWith("Exported"));
        d.key(KeyCode.ESCAPE);
        List<Takes.OfLayer> selected = Takes.marked(project);
        assertThat(selected).hasSize(2);
        assertThat(frame("out-take-1-0000.png"))
                .isEqualTo(codes(d.rendered(selected.getFirst().in(project))));
        assertThat(frame("out-take-3-0000.png"))
                .isEqualTo(codes(d.rendered(selected.getLast().in(project))));
        assertThat(frame("out-take-1-0000.png"))
                .as("the burst moved to the first frame")
                .isNotEqualTo(frame("out-take-3-0000.png"));
        assertThat(folder.resolve("out-take-2-0000.png")).doesNotExist();

        d.files.project = folder.resolve("night");
        Frame here = d.rendered();
        Driver.run(() -> d.window.actions().packages().pack());
        Path zip = folder.resolve("night.zip");
        Driver.until("the project is packed", () -> Files.exists(zip));
        d.close();
        d = new Driver(folder.resolve("data-2"));
        Driver.run(() -> d.window.take(List.of(zip)));
        d.click("#choice-0");
        Driver.until("the sheet is open", d.window::hasPicture);
        d.settle();
        assertThat(takes()).extracting(Take::name).containsExactly("Take 1", "Take 2", "Take 3");
        Frame there = d.rendered();
        for (int c = 0; c < 3; c++) {
            assertThat(there.colour().get(c).sameSamples(here.colour().get(c))).isTrue();
        }
    }

    @SuppressWarnings("unchecked")
    private void choose(ExportFormat format) {
        ((ChoiceBox<ExportFormat>) d.look("#export-format")).setValue(format);
    }

    private List<Integer> frame(String name) {
        try (MovieReader reader = new MovieReader(folder.resolve(name), Workers.shared())) {
            return codes(reader.frame(0));
        }
    }

    /** Eight-bit codes along the middle row. */
    private static List<Integer> codes(Frame frame) {
        return frame.colour().stream()
                .flatMap(
                        p ->
                                java.util.stream.IntStream.range(0, p.width())
                                        .mapToObj(x -> code(p.at(x, p.height() / 2))))
                .toList();
    }

    /** The code of a value in an 8-bit file. */
    private static int code(float value) {
        return Math.clamp(Math.round(value * 255), 0, 255);
    }
}
