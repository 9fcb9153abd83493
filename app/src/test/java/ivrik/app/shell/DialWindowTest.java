package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.app.session.View.Face;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Dial;
import ivrik.core.look.Look;
import ivrik.core.look.Section;
import ivrik.core.look.Target;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Jitter;
import ivrik.core.motion.Value;

import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.input.KeyCode;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.nio.file.Path;
import java.util.List;

/**
 * Numbers assigned to dials and keyframed in place; treatments moved to the picture; baked jitter.
 */
class DialWindowTest {
    @TempDir Path folder;
    private Driver d;

    @BeforeEach
    void open() {
        d = new Driver(folder.resolve("data"));
        d.importFile(Material.still(folder, "one.png", 0.4));
        d.number("#red-x", "12");
        d.number("#blue-x", "-6");
    }

    @AfterEach
    void close() {
        d.close();
    }

    private Look look() {
        return d.selectedLook();
    }

    private double x(int channel) {
        return look().steps().getFirst().settings(channel).value("x").rest();
    }

    private Dial dial() {
        return look().dial("shift-x");
    }

    private void put() {
        d.fromMenu("red-x", "Add all channels to new dial");
        d.settle();
    }

    @Test
    void thePairOfColoursIsFirstAndManyDrivenValuesAreFolded() {
        Driver.run(() -> d.window.session().editLook("Look", l -> BuiltInLooks.named("anaglyph")));
        Driver.run(() -> d.window.view().face.set(Face.LOOK));
        d.settle();
        Driver.until("the controls are built", () -> d.look("#dial-values-depth") != null);
        assertThat(d.look("#dial-share-depth-0")).isNull();
        double pair = top("#dial-pair");
        assertThat(pair).isLessThan(top("#dial-depth"));
        d.click("#dial-values-depth");
        d.settle();
        assertThat(d.find("#dial-share-depth-0").isVisible()).isTrue();
        d.click("#dial-values-depth");
        assertThat(d.find("#dial-share-depth-0").getParent().isVisible()).isFalse();
    }

    private double top(String node) {
        return Driver.on(() -> d.find(node).localToScene(0, 0).getY());
    }

    @Test
    void aNumberShowsAllDecimalsThatWereTyped() {
        d.number("#red-x", "0.75");
        assertThat(d.words()).contains("+0.75");
        Node field = d.find("#red-x");
        Driver.run(
                () ->
                        d.window
                                .session()
                                .editLook(
                                        "x",
                                        l ->
                                                l.withSettings(
                                                        "shift-1",
                                                        0,
                                                        a -> a.with("x", Value.of(1 / 3.0)))));
        d.settle();
        assertThat(d.words()).contains("+0.3");
        Driver.run(field::requestFocus);
        d.key(KeyCode.ENTER);
        d.key(KeyCode.ENTER);
        assertThat(x(0)).as("an unchanged text changes nothing").isEqualTo(1 / 3.0);
    }

    @Test
    void allNumbersOfAControlAreAssignedToADial() {
        d.fromMenu("shift-pad", "Add x of all channels to new dial");
        Dial dial = d.selectedLook().dials().getFirst();
        assertThat(dial.links()).hasSize(3);
        assertThat(dial.links().stream().map(l -> l.target().channel())).containsExactly(0, 1, 2);
    }

    @Test
    void aRowOfNumbersIsAssignedToADial() {
        String before = d.text("#register");
        put();
        assertThat(List.of(x(0), x(1), x(2))).containsExactly(0.0, 0.0, 0.0);
        assertThat(dial().value()).isEqualTo(Value.of(100));
        assertThat(dial().links()).hasSize(3);
        assertThat(d.text("#register")).as("the picture is the same").isEqualTo(before);
        assertThat(d.words()).as("the total beside the base").contains("+12.0", "-6.0");
        assertThat(d.find("#red-x").getStyleClass()).contains("dialled");
        d.fromMenu("blue-x", "Remove from dial Shift x");
        assertThat(x(2)).isEqualTo(-6);
        assertThat(dial().links()).hasSize(2);
    }

    @Test
    void theDialsOfALookAreShownLargeWithWhatTheyDrive() {
        put();
        d.key(KeyCode.SHIFT, KeyCode.I);
        assertThat(Driver.on(() -> d.window.view().face.get())).isEqualTo(Face.LOOK);
        assertThat(d.words()).contains("Shift red x", "Shift blue x", "linear");
        d.number("#dial-shift-x", "50");
        assertThat(dial().value()).isEqualTo(Value.of(50));
        d.choose("#dial-bend-shift-x-0", "Second half of the range only");
        assertThat(dial().links().getFirst().response())
                .isEqualTo(new Dial.Response(100, 200, Ease.LINEAR));
        d.number("#dial-share-shift-x-2", "0.25");
        assertThat(dial().links().get(2).perUnit()).isEqualTo(0.25);
        d.drag(d.find("#dial-rule-shift-x"), 0.5, 0.5, 40, 0);
        assertThat(dial().value().rest()).isGreaterThan(10);
        d.choose("#dial-menu-shift-x", "Delete dial");
        assertThat(look().dials()).isEmpty();
    }

    @Test
    void dialsHaveKeyframesAndGraphs() {
        put();
        d.key(KeyCode.SHIFT, KeyCode.I);
        d.go(10);
        d.fromMenu("dial-shift-x", "Set keyframe");
        d.go(30);
        d.number("#dial-shift-x", "20");
        assertThat(dial().value().keyframes())
                .extracting(p -> p.frame(), p -> p.value())
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple(10L, 100.0),
                        org.assertj.core.groups.Tuple.tuple(30L, 20.0));
        assertThat(d.text("#graph-other")).isEqualTo("Shift x");
        d.key(KeyCode.P);
        assertThat(dial().value().keyframes())
                .as("the key sets keyframes of the graphed number")
                .hasSize(1);
    }

    @Test
    void thePositionOfALayerIsKeyframed() {
        Driver.run(() -> d.window.view().face.set(Face.LAYER));
        d.settle();
        d.go(5);
        d.fromMenu("layer-x", "Set keyframe");
        d.go(15);
        d.number("#layer-x", "40");
        Value x = d.window.session().state().layer().orElseThrow().placement().x();
        assertThat(x.keyframes()).hasSize(2);
        assertThat(x.at(10)).isEqualTo(20);
        d.number("#layer-pivot-x", "-30");
        assertThat(d.window.session().state().layer().orElseThrow().placement().pivotX().rest())
                .isEqualTo(-30);
    }

    @Test
    void aChannelTreatmentMovesToThePictureAndBack() {
        d.choose("#section", "whole picture, after rejoin");
        assertThat(look().steps().getFirst().section()).isEqualTo(Section.FINISH);
        assertThat(x(0)).as("the settings of the selected channel").isEqualTo(-6);
        assertThat(d.words()).contains("editing whole picture, Shift");
        d.key(KeyCode.RIGHT);
        assertThat(x(0)).isEqualTo(-5);
        d.choose("#section", "each channel");
        assertThat(look().steps().getFirst().channels()).hasSize(3);
    }

    @Test
    void jitterIsBakedToKeyframesAndRestored() {
        d.number("#jitter-amount", "6");
        Jitter jitter = look().steps().getFirst().settings(2).jitter();
        assertThat(jitter.amount()).isEqualTo(Value.of(6));
        Driver.run(() -> ((Button) d.look("#jitter-bake")).fire());
        d.settle();
        assertThat(look().steps().getFirst().settings(2).value("x").keyframes()).hasSize(96);
        assertThat(d.text("#jitter-bake")).isEqualTo("restore jitter");
        Driver.run(() -> ((Button) d.look("#jitter-bake")).fire());
        d.settle();
        assertThat(look().steps().getFirst().settings(2).jitter()).isEqualTo(jitter);
        assertThat(x(2)).isEqualTo(-6);
    }

    @Test
    void aSingleValueJitters() {
        d.choose("#jitter-of", "y only");
        d.number("#jitter-amount", "3");
        assertThat(look().steps().getFirst().settings(2).jitters()).containsOnlyKeys("y");
        d.fromMenu("jitter-amount", "Add to new dial");
        assertThat(look().dials().getFirst().links().getFirst().target())
                .isEqualTo(new Target.OfChannel("shift-1", 2, "jitter.y"));
    }
}
