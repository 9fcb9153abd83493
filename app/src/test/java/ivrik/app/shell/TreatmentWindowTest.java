package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.app.session.View.Band;
import ivrik.app.session.View.Face;
import ivrik.app.session.View.Show;
import ivrik.core.look.Amounts;
import ivrik.core.look.Look;
import ivrik.core.look.Reach.Tones;
import ivrik.core.look.Step;
import ivrik.core.motion.Value;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;
import ivrik.core.sampling.Resample;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.Curve;
import ivrik.core.treatment.DirectionalBlur;
import ivrik.core.treatment.Dispersion;
import ivrik.core.treatment.GaussianBlur;
import ivrik.core.treatment.Grain;
import ivrik.core.treatment.Halation;
import ivrik.core.treatment.KernelFilter;
import ivrik.core.treatment.Lens;
import ivrik.core.treatment.Mask;
import ivrik.core.treatment.Phosphors;
import ivrik.core.treatment.PictureTreatment;
import ivrik.core.treatment.Pins;
import ivrik.core.treatment.Treatment;
import ivrik.core.treatment.Treatments;
import ivrik.media.decode.MovieReader;
import ivrik.media.encode.StillWriter;

import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.MenuButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.layout.Region;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;

/** Columns, cells, close-ups and handles of treatments, by keyboard and mouse. */
class TreatmentWindowTest {
    private static final Path TRAM =
            Path.of(System.getProperty("ivrik.home"), "demo/lantern-week/media/tram.webm");

    @TempDir static Path pictures;
    private static Path still;

    @TempDir Path folder;
    private Driver d;

    /** A frame of the tram, small, for what is shown of it is the same at every size. */
    @BeforeAll
    static void oneSmallFrame() {
        still = pictures.resolve("tram.png");
        try (MovieReader movie = new MovieReader(TRAM, Workers.shared())) {
            Frame small = Resample.to(movie.frame(40), new Size(640, 360), Workers.shared());
            StillWriter.write(small, still, Depth.INT8, Workers.shared());
        }
    }

    @BeforeEach
    void open() {
        d = new Driver(folder.resolve("data"));
        Driver.run(() -> d.window.take(List.of(still)));
        Driver.until("it is in", () -> !d.window.session().project().layers().isEmpty());
        Driver.run(() -> d.window.view().frame.set(40));
        d.settle();
    }

    @AfterEach
    void close() {
        d.close();
    }

    private Look look() {
        return d.selectedLook();
    }

    private List<String> columns() {
        return look().steps().stream().map(Step::treatment).toList();
    }

    private void add(Treatment treatment) {
        Driver.run(() -> d.window.steps().add(treatment));
        d.settle();
    }

    private void set(int step, int lane, String name, double to) {
        Driver.run(
                () ->
                        d.window
                                .session()
                                .editLook(
                                        name,
                                        l ->
                                                l.withAmounts(
                                                        step,
                                                        lane,
                                                        a -> a.with(name, Value.of(to)))));
    }

    private Amounts amounts(int step, int lane) {
        return look().steps().get(step).lanes().get(lane);
    }

    @Test
    void theSheetShowsWhatEachTreatmentDoesFindsByWordsAndAddsByEnter() {
        Driver.run(() -> ((ButtonBase) d.look("#add-treatment")).fire());
        d.settle();
        assertThat(d.words()).contains("Gaussian blur", "Grain", "Pins", "Posterise");
        d.type("fringe prism");
        assertThat(d.words()).doesNotContain("Gaussian blur");
        for (int i = 0; i < 12; i++) {
            d.key(KeyCode.BACK_SPACE);
        }
        d.type("lens");
        assertThat(d.words()).contains("Lens").doesNotContain("Grain");
        d.key(KeyCode.RIGHT);
        d.key(KeyCode.LEFT);
        d.settle();
        assertThat(d.text("#register")).as("it is tried").startsWith("out of register");
        assertThat(columns()).as("only tried").containsExactly("shift");
        d.key(KeyCode.ENTER);
        d.settle();
        assertThat(Driver.on(() -> d.window.view().band.get())).isEqualTo(Band.NONE);
        assertThat(columns()).containsExactly("shift", "lens");
        assertThat(amounts(1, 0).value("k0").rest()).isPositive();
        assertThat(Driver.on(() -> d.window.session().undoName())).contains("Add Lens");
        d.key(KeyCode.CONTROL, KeyCode.Z);
        assertThat(columns()).containsExactly("shift");
    }

    @Test
    void columnsAreDraggedSwitchedAndRemoved() {
        add(new GaussianBlur());
        add(new Grain());
        assertThat(columns()).containsExactly("shift", "gaussian", "grain");
        d.click("#head-0");
        d.drag(d.find("#head-0"), 0.5, 0.5, 100, 0);
        assertThat(columns()).containsExactly("gaussian", "shift", "grain");
        d.click("#head-0");
        assertThat(d.words()).contains("working on Red, Gaussian blur");
        d.key(KeyCode.X);
        assertThat(look().steps().getFirst().on()).isFalse();
        assertThat(d.words()).contains("Gaussian blur off");
        d.key(KeyCode.SHIFT, KeyCode.CLOSE_BRACKET);
        assertThat(columns()).containsExactly("shift", "gaussian", "grain");
        d.key(KeyCode.SHIFT, KeyCode.DELETE);
        assertThat(columns()).containsExactly("shift", "grain");
    }

    @Test
    void theRulerHasAMarkerForEachLaneAndArrowsChangeTheNumber() {
        add(new GaussianBlur());
        d.key(KeyCode.DIGIT2);
        double before = amounts(1, 1).value("radius").rest();
        d.key(KeyCode.RIGHT);
        assertThat(amounts(1, 1).value("radius").rest()).isEqualTo(before + 1);
        d.key(KeyCode.SHIFT, KeyCode.UP);
        assertThat(amounts(1, 1).value("radius").rest()).isEqualTo(before + 11);
        d.drag(d.find("#lane-ruler"), 0.06, 0.62, 90, 0);
        assertThat(amounts(1, 1).value("radius").rest()).isNotEqualTo(before + 11);
        assertThat(amounts(1, 0).value("radius").rest()).as("red is left").isEqualTo(16);
        d.click("#green-radius");
        d.type("7.5");
        d.key(KeyCode.ENTER);
        assertThat(amounts(1, 1).value("radius").rest()).isEqualTo(7.5);
    }

    @Test
    void amountsAreMirroredOpposedSpreadCopiedAndPasted() {
        add(new Lens());
        d.key(KeyCode.DIGIT1);
        Driver.run(() -> d.window.steps().mirror());
        assertThat(amounts(1, 0).value("k0").rest()).isEqualTo(-0.6);
        Driver.run(() -> d.window.steps().oppose());
        assertThat(amounts(1, 2).value("k0").rest()).isEqualTo(0.6);
        assertThat(amounts(1, 1).value("k0").rest()).isZero();
        d.key(KeyCode.CONTROL, KeyCode.C);
        d.key(KeyCode.DIGIT2);
        d.key(KeyCode.CONTROL, KeyCode.V);
        assertThat(amounts(1, 1)).isEqualTo(amounts(1, 0));
        Driver.run(() -> d.window.steps().spread());
        assertThat(amounts(1, 1).value("k0").rest()).isCloseTo(0, within(1e-9));
        Driver.run(() -> d.window.steps().toAll());
        assertThat(amounts(1, 0)).isEqualTo(amounts(1, 1));
    }

    @Test
    void aCurveGetsPointsInItsPlotAndLosesThemByTheRightButton() {
        add(new Curve());
        d.drag(d.find("#lane-plot"), 0.25, 0.5, 0, -20);
        assertThat(amounts(1, 0).count(Curve.SERIES)).isEqualTo(1);
        assertThat(amounts(1, 0).value("point.0.in").rest()).isCloseTo(25, within(3.0));
        assertThat(amounts(1, 0).value("point.0.out").rest()).isGreaterThan(55);
        d.settle();
        assertThat(d.text("#register")).startsWith("out of register");
        double out = amounts(1, 0).value("point.0.out").rest();
        d.click(d.find("#lane-plot"), 0.25, 1 - out / 100, 1, MouseButton.SECONDARY);
        assertThat(amounts(1, 0).count(Curve.SERIES)).isZero();
    }

    @Test
    void pinsAreSetDraggedAndRemovedOnThePicture() {
        add(new Pins());
        d.key(KeyCode.DIGIT3);
        d.click(d.find("PicturePane"), 0.4, 0.4, 2, MouseButton.PRIMARY);
        assertThat(amounts(1, 2).count(Pins.SERIES)).isEqualTo(1);
        d.drag(d.find("PicturePane"), 0.4, 0.4, 30, 10);
        assertThat(amounts(1, 2).value("pin.0.dx").rest()).isGreaterThan(20);
        assertThat(amounts(1, 2).value("pin.0.dy").rest()).isGreaterThan(5);
        assertThat(amounts(1, 0).count(Pins.SERIES)).isZero();
        d.settle();
        assertThat(d.text("#register")).startsWith("out of register");
        assertThat(d.text("#pin-count")).isEqualTo("Blue has 1 pin");
        d.click("#remove-pin");
        d.settle();
        assertThat(d.text("#register")).startsWith("in register");
    }

    @Test
    void theCentreIsDraggedOnThePictureForAllLanes() {
        add(new Lens());
        d.drag(d.find("PicturePane"), 0.5, 0.5, 40, -20);
        for (int lane = 0; lane < 3; lane++) {
            assertThat(amounts(1, lane).value("centre-x").rest()).isGreaterThan(30);
            assertThat(amounts(1, lane).value("centre-y").rest()).isLessThan(-15);
        }
        d.key(KeyCode.CONTROL, KeyCode.Z);
        assertThat(amounts(1, 1).value("centre-x").rest()).isZero();
    }

    @Test
    void theLineOfADirectionIsTurnedAndDrawnOutOnThePicture() {
        add(new DirectionalBlur());
        set(1, 0, "length", 0);
        d.settle();
        // the knob lies a little to the right of the middle, 22 points beyond a line of no length
        double width = Driver.on(() -> ((Region) d.find("PicturePane")).getWidth());
        d.drag(d.find("PicturePane"), 0.5 + 22 / width, 0.5, 0, 60);
        assertThat(amounts(1, 0).value("length").rest()).isGreaterThan(40);
        for (int lane = 0; lane < 3; lane++) {
            assertThat(amounts(1, lane).value("angle").rest()).isBetween(45.0, 90.0);
        }
        assertThat(amounts(1, 1).value("length").rest()).as("its own").isNotZero().isLessThan(41);
        d.settle();
        assertThat(d.text("#register")).startsWith("out of register");
        d.key(KeyCode.CONTROL, KeyCode.Z);
        assertThat(amounts(1, 2).value("angle").rest()).isZero();
    }

    @Test
    void aHalationIsOpenedIntoItsPartsAndShowsTheSame() {
        add(new Halation());
        int[] before = d.pixels(d.find("PicturePane"));
        Driver.run(() -> ((ButtonBase) d.look("#open-parts")).fire());
        d.settle();
        assertThat(columns())
                .containsExactly("linear-light", "highlights", "spread-light", "linear-light");
        int[] after = d.pixels(d.find("PicturePane"));
        long apart = IntStream.range(0, after.length).filter(i -> after[i] != before[i]).count();
        assertThat(apart).as("but for what rounds to the next code").isLessThan(after.length / 500);
        d.key(KeyCode.CONTROL, KeyCode.Z);
        assertThat(columns()).containsExactly("shift", "halation");
    }

    @Test
    void aMaskThatIsTooFineIsSaidWithTheNextCleanPitch() {
        add(new Phosphors());
        assertThat(d.find("#advice").isVisible()).isFalse();
        set(1, 0, "pitch", 1.8);
        d.settle();
        assertThat(d.text("#advice")).contains("does not show", "2.5 px is the next clean pitch");
    }

    @Test
    void aSpectrumIsDrawnOutInTheStripOfItsLane() {
        add(new Dispersion());
        double before = amounts(1, 0).value("length").rest();
        d.drag(d.find("#spectrum-strip"), 0.6, 0.5, 40, 0);
        assertThat(amounts(1, 1).value("length").rest()).isGreaterThan(12).isNotEqualTo(before);
        assertThat(amounts(1, 0).value("length").rest()).as("red is left").isEqualTo(before);
        assertThat(d.words()).contains("working on Green, Dispersion");
    }

    @Test
    void oneNumberSpreadsALensOverTheLanes() {
        add(new Lens());
        for (int lane = 0; lane < 3; lane++) {
            set(1, lane, "k0", 0);
            set(1, lane, "k1", 0);
        }
        d.click("#lens-apart");
        d.type("0.8");
        d.key(KeyCode.ENTER);
        assertThat(amounts(1, 0).value("k1").rest()).isCloseTo(0.8, within(1e-9));
        assertThat(amounts(1, 1).value("k1").rest()).isZero();
        assertThat(amounts(1, 2).value("k1").rest()).isCloseTo(-0.8, within(1e-9));
        set(1, 0, "k0", 0.4);
        set(1, 2, "k0", -0.4);
        Driver.run(() -> d.look("#lens-apart").requestFocus());
        d.type("0.6");
        d.key(KeyCode.ENTER);
        assertThat(amounts(1, 0).value("k1").rest())
                .as("the same lens")
                .isCloseTo(0.4, within(1e-9));
        assertThat(amounts(1, 0).value("k0").rest()).isCloseTo(0.2, within(1e-9));
    }

    @Test
    void aReachThatSelectsNothingIsSaid() {
        add(new GaussianBlur());
        d.settle();
        Tones all = new Tones(true, Value.of(0), Value.of(100), Value.of(0), false);
        Driver.run(
                () ->
                        d.window
                                .session()
                                .editLook(
                                        "reach",
                                        l ->
                                                l.withReach(
                                                        l.reach()
                                                                .withTones(all)
                                                                .withInverted(true))));
        d.settle();
        assertThat(Driver.on(() -> d.window.view().notice.get()))
                .isEqualTo(
                        "Nothing changes here: the reach of this look selects nothing in this"
                                + " frame");
        d.key(KeyCode.CONTROL, KeyCode.Z);
        d.settle();
        assertThat(Driver.on(() -> d.window.view().notice.get())).isEmpty();
    }

    @Test
    void aReachIsSeenOverThePictureOrAloneOnGrey() {
        add(new GaussianBlur());
        Tones none = new Tones(true, Value.of(0), Value.of(100), Value.of(0), false);
        Driver.run(
                () ->
                        d.window
                                .session()
                                .editLook(
                                        "reach",
                                        l ->
                                                l.withReach(
                                                        l.reach()
                                                                .withTones(none)
                                                                .withInverted(true))));
        Driver.run(() -> d.window.view().paneA.set(Show.REACH));
        d.settle();
        assertThat(tones()).as("nothing is reached: all is one grey").hasSize(1);
        Driver.run(() -> d.window.view().paneA.set(Show.REACH_OVER));
        d.settle();
        assertThat(tones()).as("the picture lies under it").hasSizeGreaterThan(40);
    }

    /** The greys of the middle of the picture; fails on any colour. */
    private Set<Integer> tones() {
        Node pane = d.find("PicturePane");
        int[] pixels = d.pixels(pane);
        int width = (int) Math.ceil(pane.getBoundsInLocal().getWidth());
        int height = pixels.length / width;
        Set<Integer> tones = new HashSet<>();
        for (int y = height * 2 / 5; y < height * 3 / 5; y++) {
            for (int x = width * 2 / 5; x < width * 3 / 5; x++) {
                int p = pixels[y * width + x];
                assertThat(p >> 16 & 255).isEqualTo(p >> 8 & 255).isEqualTo(p & 255);
                tones.add(p & 255);
            }
        }
        return tones;
    }

    /** The lane's picture alone follows the number keys. */
    @Test
    void lanesAreFlickedThroughOnTheNumberKeys() {
        Driver.run(() -> d.window.view().paneA.set(Show.LANE_GREY));
        List<Integer> seen = new ArrayList<>();
        for (KeyCode key : List.of(KeyCode.DIGIT1, KeyCode.DIGIT2, KeyCode.DIGIT3)) {
            d.key(key);
            d.settle();
            seen.add(Arrays.hashCode(d.pixels(d.find("PicturePane"))));
        }
        assertThat(seen).doesNotHaveDuplicates();
    }

    @Test
    void aKernelIsTypedIntoItsGrid() {
        add(new KernelFilter());
        d.click("#weight-c22");
        d.type("3");
        d.key(KeyCode.ENTER);
        assertThat(amounts(1, 0).value("c22").rest()).isEqualTo(3);
        assertThat(amounts(1, 1).value("c22").rest()).isEqualTo(1);
    }

    @Test
    void whyNothingChangesIsSaid() {
        add(new Mask());
        Driver.run(
                () ->
                        d.window
                                .session()
                                .editLook(
                                        "no picture", l -> l.withStep(1, s -> s.withPicture(""))));
        d.settle();
        assertThat(Driver.on(() -> d.window.view().notice.get()))
                .isEmpty(); // the picture is gone: that is seen
        set(1, 0, "amount", 0);
        set(1, 0, "pay-back", 40);
        d.settle();
        assertThat(Driver.on(() -> d.window.view().notice.get()))
                .isEqualTo("Nothing changes: the amount of Mask for Red is 0");
    }

    @Test
    void aReachIsSetSeenAndUndone() {
        add(new GaussianBlur());
        Driver.run(() -> ((ButtonBase) d.look("#reach")).fire());
        d.settle();
        assertThat(Driver.on(() -> d.window.view().face.get())).isEqualTo(Face.REACH);
        d.click("#reach-tones");
        assertThat(look().reach().tones().on()).isTrue();
        d.click("#reach-low");
        d.type("75");
        d.key(KeyCode.ENTER);
        assertThat(look().reach().tones().low().rest()).isEqualTo(75);
        d.click("#see-reach_over");
        d.settle();
        assertThat(Driver.on(() -> d.window.view().paneA.get())).isEqualTo(Show.REACH_OVER);
        d.click("#see-result");
        assertThat(d.text("#reach")).isEqualTo("tones");
        d.click("#reach-inverted");
        assertThat(look().reach().inverted()).isTrue();
        d.click("#reach-pick");
        d.click(d.find("PicturePane"), 0.5, 0.5, 1, MouseButton.PRIMARY);
        assertThat(look().reach().colour().on()).isTrue();
        for (int i = 0; i < 4; i++) {
            d.key(KeyCode.CONTROL, KeyCode.Z);
        }
        assertThat(look().reach().isAll()).isTrue();
    }

    /** Every treatment can be added, looked at and taken away again. */
    @Test
    void everyTreatmentHasItsColumnCloseUpAndTrace() {
        for (Treatment treatment : Treatments.all()) {
            add(treatment);
            int at = look().steps().size() - 1;
            String id = look().steps().getLast().id();
            assertThat(d.find("#head-" + at)).isNotNull();
            boolean whole = treatment instanceof PictureTreatment;
            assertThat(d.find("#cell-" + at + (whole ? "-picture" : "-red"))).isNotNull();
            assertThat(d.words())
                    .contains(
                            "working on "
                                    + (whole ? "the whole picture" : "Red")
                                    + ", "
                                    + treatment.description().title());
            treatment
                    .description()
                    .options()
                    .forEach(
                            o ->
                                    assertThat(
                                                    ((MenuButton) d.find("#option-" + o.name()))
                                                            .getText())
                                            .isEqualTo(o.rest()));
            Driver.run(() -> d.window.steps().remove(id));
        }
        assertThat(columns()).containsExactly("shift");
    }
}
