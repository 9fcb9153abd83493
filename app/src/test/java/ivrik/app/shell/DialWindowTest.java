package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.app.session.View.Face;
import ivrik.core.look.Dial;
import ivrik.core.look.Look;
import ivrik.core.look.Section;
import ivrik.core.look.Target;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Jitter;
import ivrik.core.motion.Value;

import javafx.scene.control.Button;
import javafx.scene.input.KeyCode;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.nio.file.Path;
import java.util.List;

/** Numbers put on dials and pegged where they stand; treatments moved to the picture; jitter baked. */
class DialWindowTest {
    @TempDir Path folder;
    private Driver d;

    @BeforeEach
    void open() {
        d = new Driver(folder.resolve("data"));
        d.bringIn(Material.still(folder, "one.png", 0.4));
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

    private double x(int lane) {
        return look().steps().getFirst().amounts(lane).value("x").rest();
    }

    private Dial dial() {
        return look().dial("shift-x");
    }

    private void put() {
        d.fromMenu("red-x", "Put it in all lanes on a new dial");
        d.settle();
    }

    @Test
    void aWholeControlIsPutOnADial() {
        d.fromMenu("shift-pad", "Put x of all lanes on a new dial");
        Dial dial = d.selectedLook().dials().getFirst();
        assertThat(dial.links()).hasSize(3);
        assertThat(dial.links().stream().map(l -> l.target().lane())).containsExactly(0, 1, 2);
    }

    @Test
    void aRowOfNumbersIsPutOnADialThatHoldsThem() {
        String before = d.text("#register");
        put();
        assertThat(List.of(x(0), x(1), x(2))).containsExactly(0.0, 0.0, 0.0);
        assertThat(dial().value()).isEqualTo(Value.of(100));
        assertThat(dial().links()).hasSize(3);
        assertThat(d.text("#register")).as("the picture is the same").isEqualTo(before);
        assertThat(d.words()).as("the total beside the base").contains("+12.0", "-6.0");
        assertThat(d.find("#red-x").getStyleClass()).contains("dialled");
        d.fromMenu("blue-x", "Take it off Shift x");
        assertThat(x(2)).isEqualTo(-6);
        assertThat(dial().links()).hasSize(2);
    }

    @Test
    void theDialsOfALookAreShownLargeWithWhatTheyDrive() {
        put();
        d.key(KeyCode.SHIFT, KeyCode.I);
        assertThat(Driver.on(() -> d.window.view().face.get())).isEqualTo(Face.LOOK);
        assertThat(d.words()).contains("Shift red x", "Shift blue x", "even");
        d.number("#dial-shift-x", "50");
        assertThat(dial().value()).isEqualTo(Value.of(50));
        d.choose("#dial-bend-shift-x-0", "On the second half");
        assertThat(dial().links().getFirst().bend())
                .isEqualTo(new Dial.Bend(100, 200, Ease.LINEAR));
        d.number("#dial-share-shift-x-2", "0.25");
        assertThat(dial().links().get(2).perUnit()).isEqualTo(0.25);
        d.drag(d.find("#dial-rule-shift-x"), 0.5, 0.5, 40, 0);
        assertThat(dial().value().rest()).isGreaterThan(10);
        d.choose("#dial-menu-shift-x", "Take the dial away");
        assertThat(look().dials()).isEmpty();
    }

    @Test
    void aDialIsPeggedAndTracedLikeAnyNumber() {
        put();
        d.key(KeyCode.SHIFT, KeyCode.I);
        d.go(10);
        d.fromMenu("dial-shift-x", "Peg it here");
        d.go(30);
        d.number("#dial-shift-x", "20");
        assertThat(dial().value().pegs())
                .extracting(p -> p.frame(), p -> p.value())
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple(10L, 100.0),
                        org.assertj.core.groups.Tuple.tuple(30L, 20.0));
        assertThat(d.text("#trace-other")).isEqualTo("Shift x");
        d.key(KeyCode.P);
        assertThat(dial().value().pegs()).as("the key pegs what is traced").hasSize(1);
    }

    @Test
    void thePlaceOfALayerIsPegged() {
        Driver.run(() -> d.window.view().face.set(Face.LAYER));
        d.settle();
        d.go(5);
        d.fromMenu("layer-x", "Peg it here");
        d.go(15);
        d.number("#layer-x", "40");
        Value x = d.window.session().state().layer().orElseThrow().place().x();
        assertThat(x.pegs()).hasSize(2);
        assertThat(x.at(10)).isEqualTo(20);
        d.number("#layer-pivot-x", "-30");
        assertThat(d.window.session().state().layer().orElseThrow().place().pivotX().rest())
                .isEqualTo(-30);
    }

    @Test
    void aTreatmentOfLanesIsDoneToThePictureAndBack() {
        d.choose("#section", "to the picture, after rejoining");
        assertThat(look().steps().getFirst().section()).isEqualTo(Section.FINISH);
        assertThat(x(0)).as("that of the lane being worked on").isEqualTo(-6);
        assertThat(d.words()).contains("working on the whole picture, Shift");
        d.key(KeyCode.RIGHT);
        assertThat(x(0)).isEqualTo(-5);
        d.choose("#section", "to each lane");
        assertThat(look().steps().getFirst().lanes()).hasSize(3);
    }

    @Test
    void jitterIsBakedToPegsAndComesBack() {
        d.number("#jitter-amount", "6");
        Jitter jitter = look().steps().getFirst().amounts(2).jitter();
        assertThat(jitter.amount()).isEqualTo(Value.of(6));
        Driver.run(() -> ((Button) d.look("#jitter-bake")).fire());
        d.settle();
        assertThat(look().steps().getFirst().amounts(2).value("x").pegs()).hasSize(96);
        assertThat(d.text("#jitter-bake")).isEqualTo("back to jitter");
        Driver.run(() -> ((Button) d.look("#jitter-bake")).fire());
        d.settle();
        assertThat(look().steps().getFirst().amounts(2).jitter()).isEqualTo(jitter);
        assertThat(x(2)).isEqualTo(-6);
    }

    @Test
    void oneValueJittersByItself() {
        d.choose("#jitter-of", "y by itself");
        d.number("#jitter-amount", "3");
        assertThat(look().steps().getFirst().amounts(2).jitters()).containsOnlyKeys("y");
        d.fromMenu("jitter-amount", "Put it on a new dial");
        assertThat(look().dials().getFirst().links().getFirst().target())
                .isEqualTo(new Target.OfLane("shift-1", 2, "jitter.y"));
    }
}
