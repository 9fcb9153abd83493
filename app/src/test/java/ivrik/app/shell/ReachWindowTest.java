package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.app.session.View.Face;
import ivrik.app.session.View.Show;
import ivrik.core.look.Reach.Tones;
import ivrik.core.motion.Value;
import ivrik.core.treatment.GaussianBlur;

import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;

import org.junit.jupiter.api.Test;

import java.util.HashSet;
import java.util.Set;

/** The reach of a look: set, seen, and said where it selects nothing. */
class ReachWindowTest extends OneFrame {
    /** All tones but these. */
    private void reachNothing() {
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
    }

    @Test
    void aReachThatSelectsNothingIsSaid() {
        add(new GaussianBlur());
        d.settle();
        reachNothing();
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
        reachNothing();
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

    @Test
    void aReachIsSetSeenAndUndone() {
        add(new GaussianBlur());
        Driver.run(() -> ((ButtonBase) d.look("#reach")).fire());
        d.settle();
        assertThat(Driver.on(() -> d.window.view().face.get())).isEqualTo(Face.REACH);
        d.click("#reach-tones");
        assertThat(look().reach().tones().on()).isTrue();
        d.number("#reach-low", "75");
        assertThat(look().reach().tones().low().rest()).isEqualTo(75);
        d.click("#see-reach_over");
        d.settle();
        assertThat(Driver.on(() -> d.window.view().paneA.get())).isEqualTo(Show.REACH_OVER);
        d.click("#see-result");
        assertThat(d.text("#reach")).isEqualTo("Reaches tones");
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
}
