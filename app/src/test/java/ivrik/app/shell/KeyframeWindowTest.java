package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.app.desk.TimeView;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Keyframe;
import ivrik.core.motion.Value;

import javafx.event.EventType;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;

/** Three keyframes each of red and blue, edited together, over a clip of 96 frames. */
class KeyframeWindowTest {
    /** The height of the ruler, in pixels. */
    private static final int RULER = 28;

    private static final int FRAMES = 96;

    @TempDir Path folder;
    private Driver d;

    @BeforeEach
    void open() {
        d = new Driver(folder.resolve("data"));
        d.importFile(Material.still(folder, "one.png", 0.4));
        for (KeyCode channel : List.of(KeyCode.DIGIT1, KeyCode.DIGIT3)) {
            d.key(channel);
            for (long frame : new long[] {10, 20, 40}) {
                d.go(frame);
                d.key(KeyCode.P);
                for (int i = 0; i < frame / 10; i++) {
                    d.key(KeyCode.RIGHT);
                }
            }
        }
        d.settle();
    }

    @AfterEach
    void close() {
        d.close();
    }

    private Value x(int channel) {
        return d.selectedLook().steps().getFirst().settings(channel).value("x");
    }

    private List<Long> frames(int channel) {
        return x(channel).keyframes().stream().map(Keyframe::frame).toList();
    }

    private List<Double> values(int channel) {
        return x(channel).keyframes().stream().map(Keyframe::value).toList();
    }

    @Test
    void keyframesAreReversedStretchedCopiedAndDeleted() {
        List<Double> rising = values(0);
        assertThat(rising).isSorted().hasSize(3);
        d.key(KeyCode.CONTROL, KeyCode.A);
        d.key(KeyCode.SHIFT, KeyCode.R);
        assertThat(frames(0)).containsExactly(10L, 30L, 40L);
        assertThat(values(0)).isEqualTo(rising.reversed());
        assertThat(values(2)).isEqualTo(rising.reversed());
        d.key(KeyCode.SHIFT, KeyCode.COMMA);
        assertThat(frames(2)).containsExactly(10L, 20L, 25L);
        d.key(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.C);
        d.go(60);
        d.key(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.V);
        assertThat(frames(0)).containsExactly(10L, 20L, 25L, 60L, 70L, 75L);
        d.key(KeyCode.DELETE);
        assertThat(frames(0))
                .as("the pasted keyframes are selected")
                .containsExactly(10L, 20L, 25L);
        d.key(KeyCode.CONTROL, KeyCode.A);
        d.key(KeyCode.DELETE);
        assertThat(x(0).isMoving()).isFalse();
    }

    /** The marker lies slightly right of the release point. */
    @Test
    void aDraggedKeyframeShowsItsFrameAndSnapsToAMarker() {
        d.go(50);
        d.key(KeyCode.K);
        d.go(80);
        double w = d.window.time().getWidth();
        double by = (50 - 40) * (w - 24) / FRAMES - 4;
        double above = 13 / 1.1; // the last keyframe is the highest
        d.drag(d.window.time(), across(40), high(0, above), by, 0);
        assertThat(frames(0)).containsExactly(10L, 20L, 50L);
        assertThat(d.text("#dragged-to")).startsWith("50 ");
        d.key(KeyCode.CONTROL, KeyCode.Z);
        d.key(KeyCode.CONTROL, KeyCode.A);
        d.drag(d.window.time(), across(40), high(0, above), by, 0);
        assertThat(frames(0)).as("several").containsExactly(20L, 30L, 50L);
        assertThat(frames(2)).containsExactly(20L, 30L, 50L);
    }

    private double across(double frame) {
        double w = d.window.time().getWidth();
        return (12 + (frame + 0.5) / FRAMES * (w - 24)) / w;
    }

    /** The y position of a height in the row of a channel, from the middle of the row. */
    private double high(int channel, double above) {
        double row = (d.window.time().rowsBottom() - 28) / 3;
        return (28 + (channel + 0.5) * row - above) / d.window.time().getHeight();
    }

    /** Sends a mouse event with Shift held, which the robot of the Headless platform omits. */
    private void shifted(EventType<MouseEvent> kind, double x, double y) {
        TimeView time = d.window.time();
        Mouse.fire(time, kind, x * time.getWidth(), y * time.getHeight(), true, false);
    }

    private double pixels(double frames) {
        return frames / FRAMES * (d.window.time().getWidth() - 24);
    }

    @Test
    void aBandSelectsKeyframesOfSeveralChannelsThatMoveTogether() {
        shifted(MouseEvent.MOUSE_PRESSED, across(15), high(0, 19));
        shifted(MouseEvent.MOUSE_DRAGGED, across(45), high(2, -15));
        shifted(MouseEvent.MOUSE_RELEASED, across(45), high(2, -15));
        double top = x(0).keyframes().getLast().value();
        double range = top * 1.1;
        d.drag(d.window.time(), across(40), high(0, top / range * 13), pixels(8), 0);
        assertThat(frames(0)).containsExactly(10L, 28L, 48L);
        assertThat(frames(2)).containsExactly(10L, 28L, 48L);
        d.key(KeyCode.CONTROL, KeyCode.Z);
        assertThat(frames(2)).as("one undo step").containsExactly(10L, 20L, 40L);
    }

    @Test
    void theSelectedKeyframeIsTyped() {
        d.go(20);
        d.key(KeyCode.DIGIT1);
        d.key(KeyCode.P);
        d.key(KeyCode.CONTROL, KeyCode.Z);
        Driver.run(() -> d.window.time().keyframes().toggleHere());
        d.key(KeyCode.P);
        assertThat(frames(0)).containsExactly(10L, 20L, 40L);
        d.number("#keyframe-value", "7.5");
        d.number("#keyframe-frame", "25");
        assertThat(frames(0)).containsExactly(10L, 25L, 40L);
        d.number("#keyframe-frame", "40");
        assertThat(frames(0))
                .as("the drag stops before another keyframe")
                .containsExactly(10L, 25L, 40L);
        d.choose("#keyframe-ease", "ease");
        d.number("#keyframe-handle-0", "0.8");
        d.number("#keyframe-handle-3", "1.5");
        Keyframe keyframe = x(0).keyframeAt(25).orElseThrow();
        assertThat(keyframe.value()).isEqualTo(7.5);
        assertThat(keyframe.ease()).isEqualTo(new Ease.Eased(0.8, 0, 2 / 3.0, 1.5));
    }

    @Test
    void selectedKeyframesAreScaledInValue() {
        List<Double> before = values(0);
        d.key(KeyCode.CONTROL, KeyCode.A);
        d.key(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.PERIOD);
        assertThat(values(0)).isEqualTo(before.stream().map(v -> 2 * v).toList());
        assertThat(values(2)).isEqualTo(values(0));
    }

    /** The pixels below the ruler. The ruler itself changes whenever a frame becomes ready. */
    private int[] belowTheRuler() {
        int[] all = d.pixels(d.window.time());
        return Arrays.copyOfRange(all, RULER * (int) d.window.time().getWidth(), all.length);
    }

    @Test
    void allChannelsShareOnePlotAndGraphsZoom() {
        int[] rows = belowTheRuler();
        d.key(KeyCode.SHIFT, KeyCode.G);
        d.settle();
        int[] plot = belowTheRuler();
        assertThat(plot).isNotEqualTo(rows);
        assertThat(d.find("#graph-tall"))
                .as("its button shows the state")
                .isInstanceOfSatisfying(
                        ToggleButton.class, b -> assertThat(b.isSelected()).isTrue());
        d.key(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.UP);
        d.settle();
        assertThat(belowTheRuler()).isNotEqualTo(plot);
        d.key(KeyCode.SHIFT, KeyCode.BACK_SLASH);
        d.settle();
        assertThat(belowTheRuler()).as("fitting again").isEqualTo(plot);
        // A double-click in the plot adds a keyframe to the selected channel.
        d.key(KeyCode.DIGIT3);
        d.click(d.window.time(), across(60), high(0, 0), 2, MouseButton.PRIMARY);
        assertThat(frames(2)).contains(60L);
        assertThat(frames(0)).doesNotContain(60L);
    }
}
