package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.app.session.GraphTargets;
import ivrik.app.session.View.Face;
import ivrik.app.widget.Controls;
import ivrik.app.widget.NumberField;
import ivrik.core.look.Burst;
import ivrik.core.look.Burst.Direction;
import ivrik.core.look.Look;
import ivrik.core.motion.Anchor;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Keyframe;
import ivrik.core.motion.PeakEnvelope;
import ivrik.core.motion.Phase;
import ivrik.core.motion.Value;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.project.Marker;
import ivrik.core.render.Plan;
import ivrik.core.render.Planner;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.Settings;
import ivrik.media.encode.StillWriter;

import javafx.event.ActionEvent;
import javafx.scene.Cursor;
import javafx.scene.Node;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.nio.file.Path;
import java.util.List;

/** Bursts added, shaped and moved by mouse, over two shots of 96 frames that meet at a cut. */
class BurstWindowTest {
    @TempDir Path folder;
    private Driver d;

    @BeforeEach
    void open() {
        d = new Driver(folder.resolve("data"));
        d.importFile(picture("one.png"), picture("two.png"));
        d.go(90);
    }

    @AfterEach
    void close() {
        d.close();
    }

    private Path picture(String name) {
        Plane p = Plane.of(96, 64);
        for (int i = 0; i < p.data().length; i++) {
            p.data()[i] = (i * 29 % 97) / 96f;
        }
        Path file = folder.resolve(name);
        StillWriter.write(Frame.opaque(p, p, p), file, Depth.INT8, Workers.shared());
        return file;
    }

    private Look look() {
        return d.selectedLook();
    }

    private Burst burst() {
        return look().bursts().getFirst();
    }

    private PeakEnvelope peakEnvelope() {
        return (PeakEnvelope) burst().envelope();
    }

    private void newBurst() {
        d.key(KeyCode.SHIFT, KeyCode.K);
        d.settle();
    }

    /** The shift of red at a frame, in pixels. */
    private double x(long frame) {
        Plan plan = Planner.plan(Driver.on(() -> d.window.session().project()), frame);
        return plan.layers().getFirst().looks().getFirst().steps().stream()
                .findFirst()
                .map(s -> s.channels().getFirst())
                .map((Settings s) -> s.number("x"))
                .orElse(0.0);
    }

    @Test
    void oneKeyAddsABurstAtTheNearestCut() {
        newBurst();
        assertThat(burst().anchor()).isEqualTo(new Anchor.AtCut("clip-2"));
        assertThat(burst().directions())
                .containsExactly(Direction.AS_SET, Direction.FIXED, Direction.REVERSED);
        assertThat(d.window.view().face.get()).isEqualTo(Face.BURST);
        assertThat(d.words()).contains("Shift x", "the cut at 96");
        assertThat(x(95)).isEqualTo(x(96)).isNotZero();
        assertThat(x(88)).isZero();
        d.key(KeyCode.CONTROL, KeyCode.Z);
        assertThat(look().bursts()).isEmpty();
    }

    @Test
    void awayFromCutsABurstIsAddedAtTheFrameOrItsMarker() {
        d.go(40);
        newBurst();
        assertThat(burst().anchor()).isEqualTo(new Anchor.AtFrame(40));
        d.go(60);
        d.key(KeyCode.K);
        newBurst();
        String marker = Driver.on(() -> d.window.session().project().markers().getFirst().id());
        assertThat(look().bursts().get(1).anchor())
                .isEqualTo(new Anchor.AtMarkers(List.of(marker)));
    }

    private long frame() {
        return Driver.on(() -> d.window.view().frame.get());
    }

    @Test
    void timeStepsAreAFrameASecondOrToTheNextOfEachKind() {
        d.go(40);
        newBurst();
        d.go(60);
        d.key(KeyCode.K); // a marker
        d.go(30);
        Driver.run(
                () ->
                        d.window
                                .session()
                                .editLook(
                                        "Keyframe",
                                        l ->
                                                l.withSettings(
                                                        0,
                                                        0,
                                                        a ->
                                                                a.with(
                                                                        "y",
                                                                        new Value(
                                                                                0,
                                                                                List.of(
                                                                                        new Keyframe(
                                                                                                70,
                                                                                                1,
                                                                                                Ease
                                                                                                        .SMOOTH)))))));
        d.key(KeyCode.CONTROL, KeyCode.RIGHT);
        assertThat(frame()).isEqualTo(31);
        d.key(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.LEFT);
        assertThat(frame()).isEqualTo(31 - 24);
        d.key(KeyCode.CONTROL, KeyCode.DOWN);
        assertThat(frame()).as("the burst").isEqualTo(40);
        d.key(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.PAGE_DOWN);
        assertThat(frame()).as("the marker").isEqualTo(60);
        d.go(0);
        d.key(KeyCode.CONTROL, KeyCode.PAGE_DOWN);
        assertThat(frame()).as("the cut").isEqualTo(96);
        d.key(KeyCode.SHIFT, KeyCode.PAGE_UP);
        assertThat(frame()).as("the keyframe").isEqualTo(70);
    }

    @Test
    void oneKeyNarrowsOrWidensABurst() {
        newBurst();
        d.key(KeyCode.PERIOD);
        d.key(KeyCode.PERIOD);
        assertThat(burst().envelope().before()).isEqualTo(8);
        assertThat(burst().envelope().after()).isEqualTo(8);
        d.key(KeyCode.COMMA);
        assertThat(burst().envelope().before()).isEqualTo(7);
        assertThat(peakEnvelope().out()).as("still symmetric").isEmpty();
        for (int i = 0; i < 9; i++) {
            d.key(KeyCode.COMMA);
        }
        assertThat(burst().envelope().before()).isZero();
    }

    /** The position of the start of a frame in the time view, as a share of its width. */
    private double at(double frame) {
        double w = d.window.time().getWidth();
        return (12 + frame / 192 * (w - 24)) / w;
    }

    private void drag(double fromFrame, double toFrame) {
        double high = (d.window.time().rowsBottom() - 3) / d.window.time().getHeight();
        double from = at(fromFrame);
        double to = at(toFrame);
        double w = d.window.time().getWidth();
        d.drag(d.window.time(), from, high, (to - from) * w, 0);
        d.settle();
    }

    @Test
    void itsEndsAndItsBodyAreDragged() {
        newBurst();
        Driver.run(() -> d.window.view().face.set(Face.TREATMENT));
        drag(103, 107);
        assertThat(d.window.view().face.get()).isEqualTo(Face.BURST);
        assertThat(burst().envelope().after()).isEqualTo(10);
        assertThat(burst().envelope().before()).isEqualTo(10);
        drag(95, 60);
        assertThat(burst().anchor()).isInstanceOf(Anchor.AtFrame.class);
        assertThat(x(61)).isNotZero();
        assertThat(x(96)).isZero();
        d.key(KeyCode.CONTROL, KeyCode.Z);
        assertThat(burst().anchor()).as("a drag is one step").isInstanceOf(Anchor.AtCut.class);
    }

    @Test
    void aBurstFollowsItsCutOrMarker() {
        newBurst();
        Driver.run(
                () ->
                        d.window
                                .session()
                                .editLayer(
                                        "Move the cut",
                                        l ->
                                                l.withClips(
                                                        List.of(
                                                                l.clips().get(0).withLength(50),
                                                                l.clips().get(1).withStart(50)))));
        assertThat(x(50)).isNotZero();
        assertThat(x(96)).isZero();
        Driver.run(
                () -> {
                    d.window
                            .session()
                            .edit("m", p -> p.withMarkers(List.of(new Marker("m", 20, ""))));
                    d.window
                            .session()
                            .editLook(
                                    "a",
                                    l ->
                                            l.withBurst(
                                                    burst().withAnchor(
                                                                    new Anchor.AtMarkers(
                                                                            List.of("m")))));
                });
        assertThat(x(20)).isNotZero();
        assertThat(x(50)).isZero();
    }

    @Test
    void phasesAreDraggedInTheDrawing() {
        newBurst();
        double strength = peakEnvelope().in().getLast().strength();
        // the mirrored side: 2 free frames, the outermost phase, then the others up to the peak of
        // 2 frames
        double frames = 2 + 6 + 1 + 1 + 6 + 2.0;
        d.drag(d.find("#burst-drawing"), (2 + 4 + 1) / frames, 0.5, 0, -45);
        assertThat(peakEnvelope().in().getLast().strength()).isGreaterThan(strength);
        assertThat(peakEnvelope().down().getFirst()).isEqualTo(peakEnvelope().in().getLast());
        d.click(d.find("#burst-drawing"), (2 + 1) / frames, 0.8, 1, MouseButton.SECONDARY);
        assertThat(peakEnvelope().in()).hasSize(2);
    }

    @Test
    void theHandleUnderThePointerIsShownWithItsNumber() {
        newBurst();
        Node drawing = d.find("#burst-drawing");
        double frames = 2 + 6 + 1 + 1 + 6 + 2.0;
        d.move(drawing, (2 + 1) / frames, 0.75);
        assertThat(Driver.<Cursor>on(drawing::getCursor)).isEqualTo(Cursor.V_RESIZE);
        d.move(drawing, 2 / frames, 0.83);
        assertThat(Driver.<Cursor>on(drawing::getCursor)).isEqualTo(Cursor.H_RESIZE);
        d.drag(drawing, 2 / frames, 0.83, -60, 0);
        assertThat(peakEnvelope().in().getFirst().frames()).isGreaterThan(2);
        assertThat(peakEnvelope().in().getFirst().strength()).isEqualTo(0.25);
    }

    @Test
    void aBurstIsRenamedAndOnlyTheSelectedOneIsTicked() {
        newBurst();
        newBurst();
        assertThat(d.words()).contains("Shift x 2");
        assertThat(ticked()).containsExactly("Shift x 2");
        Driver.run(
                () -> {
                    ((MenuButton) d.find("#burst-name")).show();
                    TextField name = (TextField) d.inMenu("#burst-title");
                    name.setText("Hit");
                    name.fireEvent(new ActionEvent());
                });
        d.settle();
        assertThat(d.words()).contains("Hit");
        assertThat(ticked()).containsExactly("Hit");
    }

    /** The ticked items of the menu of bursts. */
    private List<String> ticked() {
        return Driver.on(
                () -> {
                    MenuButton menu = (MenuButton) d.find("#burst-name");
                    menu.show();
                    List<String> found =
                            menu.getItems().stream()
                                    .filter(i -> Controls.isChosen(menu, i))
                                    .map(MenuItem::getText)
                                    .toList();
                    menu.hide();
                    return found;
                });
    }

    @Test
    void tiedBurstsOfOneCutGetALengthTogether() {
        newBurst();
        d.click("#burst-tied");
        newBurst();
        d.click("#burst-tied");
        d.number("#burst-before", "12");
        assertThat(look().bursts()).extracting(Burst::framesBefore).containsExactly(12.0, 12.0);
    }

    @Test
    void theTitleFollowsTheAngle() {
        newBurst();
        d.number("#burst-angle", "90");
        assertThat(d.text("#burst-name")).isEqualTo("Shift y");
        assertThat(Driver.<GraphTargets>on(() -> d.window.view().graphed.get()))
                .isEqualTo(new GraphTargets.OfTreatment("y"));
    }

    @Test
    void numbersDirectionsAndShapesAreChosen() {
        newBurst();
        d.choose("#burst-shape", "Stutter");
        assertThat(peakEnvelope().in()).extracting(Phase::frames).containsExactly(2, 1, 2, 1);
        d.choose("#burst-direction-green", "random");
        assertThat(burst().directions().get(1)).isEqualTo(Direction.RANDOM);
        d.number("#burst-factor-2-0", "30");
        assertThat(x(96)).isEqualTo(30);
        d.click("#burst-ramps");
        assertThat(peakEnvelope().ramps()).isTrue();
        d.click("#burst-mirror");
        assertThat(peakEnvelope().out()).contains(peakEnvelope().in().reversed());
        long seed = burst().seed();
        d.key(KeyCode.SEMICOLON);
        assertThat(burst().seed()).isEqualTo(seed + 1);
        d.choose("#burst-drive-more", "Shift jitter");
        assertThat(burst().drives()).hasSize(6);
        d.click("#burst-on");
        assertThat(x(96)).isZero();
        d.click("#burst-remove");
        assertThat(look().bursts()).isEmpty();
        assertThat(d.window.view().face.get()).isEqualTo(Face.TREATMENT);
    }

    @Test
    void anEditOutsideTheBurstSaysWhyNothingChanges() {
        newBurst();
        d.go(20);
        d.key(KeyCode.PERIOD);
        d.settle();
        Driver.until(
                "the word",
                () ->
                        Driver.on(() -> d.window.view().notice.get())
                                .contains("frame 20 is outside burst Shift x"));
    }

    @Test
    void theControlsShowTheResultWithABurst() {
        newBurst();
        d.go(96);
        Driver.run(() -> d.window.view().face.set(Face.TREATMENT));
        d.settle();
        assertThat(((NumberField) d.find("#red-x")).text()).isEqualTo("0.0");
        assertThat(d.words()).contains("result", "%+.1f".formatted(x(96)));
        d.go(40);
        assertThat(d.words()).doesNotContain("result");
    }

    @Test
    void motionBlurIsSetWithTheTreatment() {
        d.number("#shutter-angle", "180");
        assertThat(look().shutter().angleDegrees().rest()).isEqualTo(180);
        assertThat(d.find("#shutter-samples").isVisible()).isTrue();
    }
}
