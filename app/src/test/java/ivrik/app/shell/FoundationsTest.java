package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.app.pane.PicturePane;
import ivrik.app.picture.PictureService;
import ivrik.core.colour.ColourSpace;
import ivrik.core.look.Look;
import ivrik.core.look.Section;
import ivrik.core.look.Step;
import ivrik.core.motion.Rational;
import ivrik.core.picture.Size;
import ivrik.core.project.Source;
import ivrik.core.treatment.Exposure;
import ivrik.core.treatment.Grain;
import ivrik.core.treatment.LensDistortion;
import ivrik.core.treatment.RgbCurves;
import ivrik.core.treatment.Treatment;

import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ChoiceBox;
import javafx.scene.input.KeyCode;

import org.junit.jupiter.api.Test;

import java.io.IOException;
import java.lang.ref.WeakReference;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Whole-picture treatments, steps that keep their identity, and faults, in the window. */
class FoundationsTest extends InAWindow {
    private Path picture(String name, double value) {
        return Material.still(folder, name, value);
    }

    private void importFile(Path file) {
        d.importFile(file);
    }

    private Look look() {
        return d.selectedLook();
    }

    private void add(Treatment treatment) {
        Driver.run(() -> d.window.steps().add(treatment));
        d.settle();
    }

    private double stops() {
        return look().step("exposure-1").orElseThrow().settings(0).value("stops").rest();
    }

    @Test
    void aPictureTreatmentHasOneCellOnEitherSideOfTheChannels() {
        importFile(picture("grey.png", 0.25));
        add(new Exposure());
        Node cell = d.find("#cell-1-picture");
        assertThat(cell.getBoundsInParent().getHeight())
                .isEqualTo(3 * d.find("#cell-0-red").getBoundsInParent().getHeight());
        assertThat(x(cell)).isGreaterThan(x(d.find("#head-rejoin")));
        assertThat(d.words())
                .contains("editing whole picture, Exposure", "whole picture, after rejoin");
        double before = stops();
        d.click(cell);
        d.key(KeyCode.RIGHT);
        assertThat(stops()).isCloseTo(before + 0.1, org.assertj.core.api.Assertions.within(1e-9));
        d.settle();
        assertThat(d.text("#register")).startsWith("differs by up to");
        Driver.run(() -> d.window.steps().place("exposure-1", Section.PREPARE));
        d.settle();
        assertThat(look().steps().getFirst().section()).isEqualTo(Section.PREPARE);
        assertThat(x(d.find("#cell-0-picture"))).isLessThan(x(d.find("#head-separate")));
        d.key(KeyCode.CONTROL, KeyCode.Z);
        assertThat(look().steps().getLast().section()).isEqualTo(Section.FINISH);
        d.key(KeyCode.BACK_SPACE);
        d.settle();
        assertThat(stops()).isZero();
        assertThat(d.text("#register")).isEqualTo("exact");
    }

    private static double x(Node node) {
        return node.localToScene(0, 0).getX();
    }

    @Test
    void onePictureCurveIsDrawnInItsPlot() {
        importFile(picture("grey.png", 0.25));
        add(new RgbCurves());
        d.click(d.find("#channel-plot"), 0.25, 0.5, 1, javafx.scene.input.MouseButton.PRIMARY);
        Step curve = look().steps().getLast();
        assertThat(curve.channels()).hasSize(1);
        assertThat(curve.settings(0).value("point.0.in").rest())
                .isCloseTo(25, org.assertj.core.api.Assertions.within(1.0));
        d.settle();
        assertThat(d.text("#register")).startsWith("differs by up to");
    }

    @Test
    void theSelectedStepStaysSelectedWhileColumnsMove() {
        importFile(picture("grey.png", 0.25));
        add(new LensDistortion());
        add(new Grain());
        d.click("#head-1");
        assertThat(d.words()).contains("editing Red, Lens distortion");
        d.key(KeyCode.SHIFT, KeyCode.OPEN_BRACKET);
        assertThat(look().steps().stream().map(Step::id))
                .containsExactly("lens-distortion-1", "shift-1", "grain-1");
        assertThat(d.words()).contains("editing Red, Lens distortion");
        d.key(KeyCode.CONTROL, KeyCode.Z);
        assertThat(d.words()).contains("editing Red, Lens distortion");
        assertThat(look().number("lens-distortion-1")).isEqualTo(1);
    }

    @Test
    void twoGrainsOfOneSeedAreEqualOnlyWithASharedPattern() {
        importFile(picture("grey.png", 0.5));
        add(new Grain());
        d.click("#seed");
        d.key(KeyCode.ENTER);
        d.type("12345678901");
        d.key(KeyCode.ENTER);
        assertThat(look().steps().getLast().settings(0).seed()).isEqualTo(12345678901L);
        Driver.run(() -> ((ButtonBase) d.look("#by-seed")).fire());
        assertThat(look().steps().getLast().bySeed()).isTrue();
        assertThat(Driver.on(() -> d.window.session().undoName()))
                .contains("Share pattern by seed");
    }

    @Test
    void aFrameThatCannotBeRenderedIsExplained() throws IOException {
        for (int n = 0; n < 3; n++) {
            picture("shot-000" + n + ".png", 0.2 + 0.2 * n);
        }
        Files.writeString(folder.resolve("shot-0001.png"), "damaged");
        importFile(folder.resolve("shot-%04d.png"));
        for (int round = 0; round < 2; round++) {
            show(1);
            assertThat(explanation()).contains("shot-0001.png cannot be read");
            assertThat(d.words())
                    .contains("damaged at this frame")
                    .doesNotContain("missing: relink");
            show(2);
            assertThat(explanation()).isEmpty();
            assertThat(d.words()).doesNotContain("damaged at this frame");
        }
    }

    @Test
    void colourSpaceOptionsOfASourceAreShownAndChosen() {
        for (int n = 0; n < 3; n++) {
            picture("shot-000" + n + ".png", 0.2 + 0.2 * n);
        }
        importFile(folder.resolve("shot-%04d.png"));
        String id = "source-" + d.window.session().project().sources().getFirst().id();
        d.fromMenu(id, "Footage settings...");
        Driver.until("the sheet is open", () -> d.look("#source-done") != null);
        assertThat(d.words()).anyMatch(w -> w.contains("96x64") && w.contains("8 bit"));
        Driver.run(
                () -> {
                    @SuppressWarnings("unchecked")
                    ChoiceBox<Rational> rate = (ChoiceBox<Rational>) d.look("#source-rate");
                    rate.setValue(Rational.of(30));
                });
        Driver.until(
                "it is read at 30 fps",
                () ->
                        Driver.on(() -> d.window.session().project().sources().getFirst().rate())
                                .equals(Rational.of(30)));
        Driver.run(() -> ((ChoiceBox<?>) d.look("#source-colours")).getSelectionModel().select(3));
        Driver.until(
                "it is taken as Display P3",
                () ->
                        Driver.on(() -> d.window.session().project().sources().getFirst())
                                .settings()
                                .equals(
                                        Source.FootageSettings.AUTOMATIC.inColourSpace(
                                                Optional.of(ColourSpace.DISPLAY_P3))));
        d.click("#source-done");
        d.key(KeyCode.CONTROL, KeyCode.Z);
        d.key(KeyCode.CONTROL, KeyCode.Z);
        assertThat(d.window.session().project().sources().getFirst().rate())
                .isNotEqualTo(Rational.of(30));
    }

    @Test
    void aPictureTooLargeForMemoryIsReported() {
        importFile(picture("lantern.png", 0.5));
        Size small = Driver.on(() -> d.window.session().project().sequence().size());
        resize(new Size(16384, 16384));
        Driver.until("the message appears", () -> explanation().contains("need "));
        assertThat(explanation()).contains("16384x16384").contains("IVRIK_MEMORY");
        resize(small);
        d.settle();
        assertThat(explanation()).isEmpty();
        assertThat(Driver.on(d.window::hasPicture)).isTrue();
    }

    private void resize(Size to) {
        Driver.run(
                () ->
                        d.window
                                .session()
                                .edit("Size", p -> p.withSequence(p.sequence().withSize(to))));
    }

    private String explanation() {
        return Driver.on(() -> ((PicturePane) d.find("PicturePane")).explanation());
    }

    private void show(long frame) {
        Driver.run(() -> d.window.view().frame.set(frame));
        d.settle();
    }

    @Test
    void picturesStayWithinTheMemoryBudget() {
        importFile(picture("grey.png", 0.25));
        Driver.run(() -> d.window.sheetActions().memory());
        d.click("#memory-mb");
        d.key(KeyCode.ENTER);
        d.type("64");
        d.key(KeyCode.ENTER);
        d.click("#memory-done");
        for (int i = 0; i < 5; i++) {
            d.key(KeyCode.RIGHT);
            d.settle();
        }
        PictureService service = d.window.service();
        assertThat(service.held()).isBetween(1L, 64L << 20);
    }

    /**
     * The panels of the last twelve treatments are kept; older panels are no longer registered as listeners.
     */
    @Test
    void replacedPanelsAreReleased() {
        importFile(picture("grey.png", 0.25));
        add(new LensDistortion());
        List<WeakReference<Node>> before = new ArrayList<>();
        for (int i = 0; i < 24; i++) {
            String title = "look " + i / 2;
            Driver.run(() -> d.window.session().editLook("title", l -> l.withTitle(title)));
            d.click("#head-" + i % 2);
            before.add(new WeakReference<>(d.find(i % 2 == 0 ? "#shift-pad" : "#channel-plot")));
        }
        d.settle();
        Driver.until(
                "all but the last dozen are collected",
                () -> {
                    System.gc();
                    return before.stream().filter(r -> r.get() != null).count() <= 12;
                });
    }
}
