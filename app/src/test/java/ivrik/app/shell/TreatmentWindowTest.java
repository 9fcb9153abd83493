package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.app.session.View.Band;
import ivrik.app.session.View.Show;
import ivrik.app.widget.NumberField;
import ivrik.core.look.Step;
import ivrik.core.treatment.GaussianBlur;
import ivrik.core.treatment.Grain;
import ivrik.core.treatment.Halation;
import ivrik.core.treatment.LensDistortion;
import ivrik.core.treatment.PhosphorScreen;
import ivrik.core.treatment.PictureTreatment;
import ivrik.core.treatment.ScreenPattern;
import ivrik.core.treatment.Treatment;
import ivrik.core.treatment.Treatments;

import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.MenuButton;
import javafx.scene.input.KeyCode;

import org.junit.jupiter.api.Test;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/** Columns, cells and controls of treatments, by keyboard and mouse. */
class TreatmentWindowTest extends OneFrame {
    @Test
    void theTreatmentSheetPreviewsFindsAndAdds() {
        Driver.run(() -> ((ButtonBase) d.look("#add-treatment")).fire());
        d.settle();
        assertThat(d.words()).contains("Gaussian blur", "Grain", "Pin warp", "Posterise");
        d.type("fringe prism");
        assertThat(d.words()).doesNotContain("Gaussian blur");
        for (int i = 0; i < 12; i++) {
            d.key(KeyCode.BACK_SPACE);
        }
        d.type("lens");
        assertThat(d.words()).contains("Lens distortion").doesNotContain("Grain");
        d.key(KeyCode.RIGHT);
        d.key(KeyCode.LEFT);
        d.settle();
        assertThat(d.text("#register")).as("the attempt is made").startsWith("differs by up to");
        assertThat(columns()).as("only tried").containsExactly("shift");
        d.key(KeyCode.ENTER);
        d.settle();
        assertThat(Driver.on(() -> d.window.view().band.get())).isEqualTo(Band.NONE);
        assertThat(columns()).containsExactly("shift", "lens-distortion");
        assertThat(settings(1, 0).value("k0").rest()).isPositive();
        assertThat(Driver.on(() -> d.window.session().undoName())).contains("Add Lens distortion");
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
        assertThat(d.words()).contains("editing Red, Gaussian blur");
        d.key(KeyCode.X);
        assertThat(look().steps().getFirst().on()).isFalse();
        assertThat(d.words()).contains("Gaussian blur (off)");
        d.key(KeyCode.SHIFT, KeyCode.CLOSE_BRACKET);
        assertThat(columns()).containsExactly("shift", "gaussian", "grain");
        d.key(KeyCode.SHIFT, KeyCode.DELETE);
        assertThat(columns()).containsExactly("shift", "grain");
    }

    @Test
    void theRulerHasAMarkerForEachChannelAndArrowsChangeTheNumber() {
        add(new GaussianBlur());
        d.key(KeyCode.DIGIT2);
        double before = settings(1, 1).value("radius").rest();
        d.key(KeyCode.RIGHT);
        assertThat(settings(1, 1).value("radius").rest()).isEqualTo(before + 1);
        d.key(KeyCode.SHIFT, KeyCode.UP);
        assertThat(settings(1, 1).value("radius").rest()).isEqualTo(before + 11);
        d.drag(d.find("#channel-ruler"), 0.06, 0.62, 90, 0);
        assertThat(settings(1, 1).value("radius").rest()).isNotEqualTo(before + 11);
        assertThat(settings(1, 0).value("radius").rest()).as("red remains").isEqualTo(16);
        d.number("#green-radius", "7.5");
        assertThat(settings(1, 1).value("radius").rest()).isEqualTo(7.5);
    }

    /**
     * The first control appears at once; the rest of the panel is built while the window is idle, so that
     * keys are answered.
     */
    @Test
    void aNewControlsPanelIsBuiltInPieces() {
        add(new LensDistortion());
        add(new GaussianBlur());
        Driver.run(
                () -> {
                    d.window.session().selectCell("lens-distortion-1", 1);
                    assertThat(d.look("ChannelPlot")).isNotNull();
                    assertThat(d.look("#green-k1")).isNull();
                    assertThat(d.window.isSettled()).isFalse();
                });
        d.key(KeyCode.RIGHT);
        d.settle();
        double nudged = settings(1, 1).value("k0").rest();
        assertThat(nudged).isNotZero();
        assertThat(((NumberField) d.find("#green-k0")).text()).contains("" + nudged);
        assertThat(d.find("#settings-negate").isVisible()).isTrue();
        assertThat(d.look("#total-green-1").isVisible()).as("no other contribution").isFalse();
    }

    @Test
    void valuesAreNegatedMirroredSpreadCopiedAndPasted() {
        add(new LensDistortion());
        d.key(KeyCode.DIGIT1);
        Driver.run(() -> d.window.steps().mirror());
        assertThat(settings(1, 0).value("k0").rest()).isEqualTo(-0.6);
        Driver.run(() -> d.window.steps().oppose());
        assertThat(settings(1, 2).value("k0").rest()).isEqualTo(0.6);
        assertThat(settings(1, 1).value("k0").rest()).isZero();
        d.key(KeyCode.CONTROL, KeyCode.C);
        d.key(KeyCode.DIGIT2);
        d.key(KeyCode.CONTROL, KeyCode.V);
        assertThat(settings(1, 1)).isEqualTo(settings(1, 0));
        Driver.run(() -> d.window.steps().spread());
        assertThat(settings(1, 1).value("k0").rest()).isCloseTo(0, within(1e-9));
        Driver.run(() -> d.window.steps().toAll());
        assertThat(settings(1, 0)).isEqualTo(settings(1, 1));
    }

    @Test
    void halationIsSplitIntoItsPartsWithTheSamePicture() {
        add(new Halation());
        int[] before = d.pixels(d.find("PicturePane"));
        Driver.run(() -> ((ButtonBase) d.look("#open-parts")).fire());
        d.settle();
        assertThat(columns())
                .containsExactly("linear-light", "bright-pass", "bloom", "linear-light");
        int[] after = d.pixels(d.find("PicturePane"));
        long apart = IntStream.range(0, after.length).filter(i -> after[i] != before[i]).count();
        assertThat(apart).as("apart from rounding to the next code").isLessThan(after.length / 500);
        d.key(KeyCode.CONTROL, KeyCode.Z);
        assertThat(columns()).containsExactly("shift", "halation");
    }

    @Test
    void aMaskThatIsTooFineIsReportedWithTheNextUsablePitch() {
        add(new PhosphorScreen());
        assertThat(d.find("#advice").isVisible()).isFalse();
        set(1, 0, "pitch", 1.8);
        d.settle();
        assertThat(d.text("#advice")).contains("is not visible", "the next usable pitch is 2.5 px");
        double wide = Driver.on(() -> d.find("#advice").getLayoutBounds().getWidth());
        double room = Driver.on(() -> d.find(".controls").getLayoutBounds().getWidth());
        assertThat(wide).as("the text wraps").isLessThan(room);
    }

    /** With the channel view on, digits switch the channel that is shown. */
    @Test
    void digitsSwitchTheShownChannel() {
        Driver.run(() -> d.window.view().paneA.set(Show.CHANNEL_GREY));
        List<Integer> seen = new ArrayList<>();
        for (KeyCode key : List.of(KeyCode.DIGIT1, KeyCode.DIGIT2, KeyCode.DIGIT3)) {
            d.key(key);
            d.settle();
            seen.add(Arrays.hashCode(d.pixels(d.find("PicturePane"))));
        }
        assertThat(seen).doesNotHaveDuplicates();
    }

    @Test
    void anEditWithoutVisibleEffectIsExplained() {
        add(new ScreenPattern());
        Driver.run(
                () ->
                        d.window
                                .session()
                                .editLook(
                                        "no picture", l -> l.withStep(1, s -> s.withPicture(""))));
        d.settle();
        assertThat(Driver.on(() -> d.window.view().notice.get()))
                .isEmpty(); // the picture was closed
        set(1, 0, "amount", 0);
        set(1, 0, "compensation", 40);
        d.settle();
        assertThat(Driver.on(() -> d.window.view().notice.get()))
                .isEqualTo("No visible effect: the amount of Screen pattern in Red is 0");
    }

    /**
     * Building a controls panel is the longest task of the interface thread, so panels are kept and reused.
     */
    @Test
    void aReusedControlsPanelShowsCurrentValues() {
        add(new LensDistortion());
        d.number("#green-k0", "0.3");
        Node lens = d.find("#green-k0");
        choose(0);
        set(1, 1, "k0", 0.2);
        choose(1);
        assertThat(d.find("#green-k0")).as("not computed again").isSameAs(lens);
        assertThat(((NumberField) d.find("#green-k0")).text()).isEqualTo("+0.2");
        d.number("#green-k0", "0.5");
        assertThat(settings(1, 1).value("k0").rest()).isEqualTo(0.5);
    }

    /** Step ids of files are arbitrary, so two treatments may share an id. */
    @Test
    void treatmentsOfOneIdHaveSeparateControlsPanels() {
        only(Step.atRest("one", new LensDistortion(), 3));
        assertThat(d.find("#red-k0")).isNotNull();
        only(Step.atRest("one", new GaussianBlur(), 3));
        assertThat(d.find("#red-radius")).isNotNull();
    }

    private void only(Step step) {
        Driver.run(
                () -> d.window.session().editLook("only", look -> look.withSteps(List.of(step))));
        Driver.run(() -> d.window.session().selectCell(step.id(), 0));
        d.settle();
    }

    private void choose(int step) {
        Driver.run(() -> d.window.session().selectCell(look().steps().get(step).id(), 1));
        d.settle();
    }

    @Test
    void typingANumberMovesNoControl() {
        Bounds before = Driver.on(() -> where("#green-x"));
        Driver.run(() -> d.find("#green-x").requestFocus());
        d.key(KeyCode.ENTER);
        Driver.pulses(3);
        assertThat(d.find("#green-x .text-field").isVisible()).isTrue();
        assertThat(Driver.on(() -> where("#green-x"))).isEqualTo(before);
        d.type("12+0.5");
        d.key(KeyCode.ENTER);
        assertThat(settings(0, 1).value("x").rest()).isEqualTo(12.5);
    }

    private Bounds where(String selector) {
        Node node = d.find(selector);
        return node.localToScene(node.getLayoutBounds());
    }

    @Test
    void everyTreatmentHasItsColumnControlsPanelAndGraph() {
        for (Treatment treatment : Treatments.all()) {
            add(treatment);
            int at = look().steps().size() - 1;
            String id = look().steps().getLast().id();
            assertThat(d.find("#head-" + at)).isNotNull();
            boolean whole = treatment instanceof PictureTreatment;
            assertThat(d.find("#cell-" + at + (whole ? "-picture" : "-red"))).isNotNull();
            assertThat(d.words())
                    .contains(
                            "editing "
                                    + (whole ? "whole picture" : "Red")
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
