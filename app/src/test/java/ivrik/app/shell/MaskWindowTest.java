package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.app.session.View.Face;
import ivrik.app.session.View.Show;
import ivrik.core.look.Mask.Tones;
import ivrik.core.motion.Value;
import ivrik.core.treatment.GaussianBlur;

import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;

import org.junit.jupiter.api.Test;

import java.util.HashSet;
import java.util.Set;

/** The mask of a look is edited, shown, and reported as empty. */
class MaskWindowTest extends OneFrame {
    /** Sets the mask to select no tone of the picture. */
    private void selectNothing() {
        Tones all = new Tones(true, Value.of(0), Value.of(100), Value.of(0), false);
        Driver.run(
                () ->
                        d.window
                                .session()
                                .editLook(
                                        "mask",
                                        l ->
                                                l.withMask(
                                                        l.mask()
                                                                .withTones(all)
                                                                .withInverted(true))));
    }

    @Test
    void anEmptyMaskIsReported() {
        add(new GaussianBlur());
        d.settle();
        selectNothing();
        d.settle();
        assertThat(Driver.on(() -> d.window.view().notice.get()))
                .isEqualTo(
                        "No visible effect: the mask of this look selects nothing in this frame");
        d.key(KeyCode.CONTROL, KeyCode.Z);
        d.settle();
        assertThat(Driver.on(() -> d.window.view().notice.get())).isEmpty();
    }

    @Test
    void aMaskIsShownOverThePictureOrAloneOnGrey() {
        add(new GaussianBlur());
        selectNothing();
        Driver.run(() -> d.window.view().paneA.set(Show.MASK_ONLY));
        d.settle();
        assertThat(tones()).as("the mask is empty: the picture is one grey").hasSize(1);
        Driver.run(() -> d.window.view().paneA.set(Show.MASK_OVERLAY));
        d.settle();
        assertThat(tones()).as("the picture is below").hasSizeGreaterThan(40);
    }

    /** The grey levels in the middle of the picture; fails if the picture has a hue. */
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
    void typingANumberTurnsItsPartOfTheMaskOn() {
        add(new GaussianBlur());
        Driver.run(() -> ((ButtonBase) d.look("#mask")).fire());
        d.settle();
        d.number("#mask-hue", "35");
        assertThat(look().mask().colour().on()).isTrue();
        assertThat(look().mask().tones().on()).isFalse();
        d.number("#mask-low", "50");
        assertThat(look().mask().tones().on()).isTrue();
    }

    @Test
    void aMaskIsSetSeenAndUndone() {
        add(new GaussianBlur());
        Driver.run(() -> ((ButtonBase) d.look("#mask")).fire());
        d.settle();
        assertThat(Driver.on(() -> d.window.view().face.get())).isEqualTo(Face.MASK);
        d.click("#mask-tones");
        assertThat(look().mask().tones().on()).isTrue();
        d.number("#mask-low", "75");
        assertThat(look().mask().tones().low().rest()).isEqualTo(75);
        d.click("#see-mask_overlay");
        d.settle();
        assertThat(Driver.on(() -> d.window.view().paneA.get())).isEqualTo(Show.MASK_OVERLAY);
        d.click("#see-result");
        assertThat(d.text("#mask")).isEqualTo("Mask: tone");
        d.click("#mask-inverted");
        assertThat(look().mask().inverted()).isTrue();
        d.click("#mask-sample");
        d.click(d.find("PicturePane"), 0.5, 0.5, 1, MouseButton.PRIMARY);
        assertThat(look().mask().colour().on()).isTrue();
        for (int i = 0; i < 4; i++) {
            d.key(KeyCode.CONTROL, KeyCode.Z);
        }
        assertThat(look().mask().isNone()).isTrue();
    }
}
