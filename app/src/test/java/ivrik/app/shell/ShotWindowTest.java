package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.project.Clip;

import javafx.scene.input.KeyCode;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.nio.file.Path;
import java.util.List;

/** Two shots of 96 frames, cut, moved and removed by keys and by hand. */
class ShotWindowTest {
    @TempDir Path folder;
    private Driver d;

    @BeforeEach
    void open() {
        d = new Driver(folder.resolve("data"));
        d.bringIn(Driver.still(folder, "one.png", 0.4), Driver.still(folder, "two.png", 0.4));
    }

    @AfterEach
    void close() {
        d.close();
    }

    private long frame() {
        return Driver.on(() -> d.window.view().frame.get());
    }

    private List<Clip> shots() {
        return Driver.on(() -> d.window.session().project().layers().getFirst().clips());
    }

    @Test
    void aShotIsCutAndItsPartsMovedAndRemoved() {
        d.go(40);
        d.key(KeyCode.SLASH);
        assertThat(shots()).extracting(Clip::length).containsExactly(40L, 56L, 96L);
        d.key(KeyCode.PAGE_DOWN);
        assertThat(shots().get(1).start()).isEqualTo(136);
        assertThat(frame()).isEqualTo(136);
        d.key(KeyCode.SHIFT, KeyCode.BACK_SPACE);
        assertThat(shots()).extracting(Clip::start).containsExactly(0L, 40L);
        assertThat(frame()).as("inside what is left").isEqualTo(135);
        d.key(KeyCode.CONTROL, KeyCode.Z);
        d.key(KeyCode.CONTROL, KeyCode.Z);
        d.key(KeyCode.CONTROL, KeyCode.Z);
        assertThat(shots()).extracting(Clip::length).containsExactly(96L, 96L);
        d.go(20);
        d.key(KeyCode.CONTROL, KeyCode.DELETE);
        assertThat(shots()).extracting(Clip::start).containsExactly(96L);
    }

    @Test
    void aShotBeginsAndEndsWhereThePlayheadIs() {
        d.go(60);
        d.key(KeyCode.CONTROL, KeyCode.CLOSE_BRACKET);
        assertThat(shots()).extracting(Clip::start).containsExactly(0L, 61L);
        d.go(80);
        d.key(KeyCode.CONTROL, KeyCode.OPEN_BRACKET);
        assertThat(shots()).extracting(Clip::start).containsExactly(0L, 80L);
    }

    @Test
    void timeIsSeenCloserAboutThePlayheadAndFollowsIt() {
        d.go(96);
        d.key(KeyCode.SHIFT, KeyCode.EQUALS);
        d.key(KeyCode.SHIFT, KeyCode.EQUALS);
        assertThat(d.window.view().timeShown.get()).isEqualTo(48);
        assertThat(d.window.view().timeFrom.get()).isBetween(60.0, 90.0);
        d.go(5);
        assertThat(d.window.view().timeFrom.get()).isLessThanOrEqualTo(5);
        d.key(KeyCode.SHIFT, KeyCode.BACK_SLASH);
        assertThat(d.window.view().timeShown.get()).isZero();
    }

    private double x(double frame) {
        double w = d.window.time().getWidth();
        return (12 + frame / 192 * (w - 24)) / w;
    }

    private void dragCut(double from, double to) {
        double w = d.window.time().getWidth();
        double high = (28 + 3 * 62 + 8 + 20) / d.window.time().getHeight();
        d.drag(d.window.time(), x(from), high, (x(to) - x(from)) * w, 0);
        d.settle();
    }

    @Test
    void theCutIsDraggedAndCatchesOnAMarker() {
        dragCut(96, 110);
        assertThat(shots()).extracting(Clip::start).containsExactly(0L, 110L);
        assertThat(shots()).extracting(Clip::end).containsExactly(110L, 192L);
        d.go(130);
        d.key(KeyCode.K);
        d.go(0);
        dragCut(110, 130.8);
        assertThat(shots()).extracting(Clip::start).containsExactly(0L, 130L);
        d.key(KeyCode.CONTROL, KeyCode.Z);
        assertThat(shots()).extracting(Clip::start).as("one step").containsExactly(0L, 110L);
    }
}
