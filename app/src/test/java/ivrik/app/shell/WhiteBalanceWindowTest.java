package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.look.Section;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.threads.Workers;
import ivrik.media.encode.StillWriter;

import javafx.scene.input.MouseButton;

import org.junit.jupiter.api.Test;

import java.nio.file.Path;

/** A press on a grey object balances the picture before every other treatment. */
class WhiteBalanceWindowTest extends InAWindow {
    private void bring(double r, double g, double b) {
        Path file = folder.resolve("tinted.png");
        Frame frame =
                Frame.opaque(
                        Plane.flat(96, 64, (float) r),
                        Plane.flat(96, 64, (float) g),
                        Plane.flat(96, 64, (float) b));
        StillWriter.write(frame, file, Depth.INT8, Workers.shared());
        d.importFile(file);
    }

    private void press() {
        Driver.run(() -> d.window.actions().balance().ask());
        assertThat(d.words()).anyMatch(w -> w.contains("should be neutral grey"));
        d.click(d.find("PicturePane"), 0.45, 0.45, 1, MouseButton.PRIMARY);
        d.settle();
    }

    private double slope(String channel) {
        return d.selectedLook().steps().getFirst().settings(0).value("slope-" + channel).at(0);
    }

    @Test
    void balancingEqualisesTheChannelsAtTheSameLuma() {
        bring(0.6, 0.4, 0.2);
        press();
        double luma = 0.2126 * 0.6 + 0.7152 * 0.4 + 0.0722 * 0.2;
        assertThat(d.selectedLook().steps().getFirst().section()).isEqualTo(Section.PREPARE);
        assertThat(slope("red")).isCloseTo(luma / 0.6, within(0.01));
        assertThat(slope("green")).isCloseTo(luma / 0.4, within(0.01));
        assertThat(slope("blue")).isCloseTo(luma / 0.2, within(0.02));
        Frame shown = d.rendered();
        for (int c = 0; c < 3; c++) {
            assertThat((double) shown.colour().get(c).at(40, 30)).isCloseTo(luma, within(0.005));
        }
        int steps = d.selectedLook().steps().size();
        press();
        assertThat(d.selectedLook().steps()).as("the same step is set again").hasSize(steps);
    }

    @Test
    void tooDarkASampleIsRefused() {
        bring(0.01, 0.005, 0);
        int steps = d.selectedLook().steps().size();
        press();
        assertThat(d.words()).anyMatch(w -> w.contains("Too dark"));
        assertThat(d.selectedLook().steps()).hasSize(steps);
    }
}
