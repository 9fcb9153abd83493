package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.app.session.View.Face;
import ivrik.core.look.SlitScan;
import ivrik.core.look.Step;
import ivrik.core.motion.Rational;
import ivrik.core.motion.Value;
import ivrik.core.project.Clip;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Loudness;
import ivrik.core.project.Marker;
import ivrik.core.project.Retiming;
import ivrik.core.render.Plan;
import ivrik.core.render.Planner;
import ivrik.core.separation.Ink;
import ivrik.core.treatment.GradientMap;

import javafx.event.EventType;
import javafx.scene.control.Button;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.nio.file.Path;
import java.util.List;

/** Two shots of 96 frames, cut, moved and removed by key and mouse. */
class ShotWindowTest {
    @TempDir Path folder;
    private Driver d;

    @BeforeEach
    void open() {
        d = new Driver(folder.resolve("data"));
        d.importFile(
                Material.still(folder, "one.png", 0.4), Material.still(folder, "two.png", 0.4));
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

    /** The total shift of red at a frame over all looks, in pixels. */
    private double x(long frame) {
        return Planner.plan(Driver.on(() -> d.window.session().project()), frame)
                .layers()
                .getFirst()
                .looks()
                .stream()
                .flatMap(l -> l.steps().stream())
                .mapToDouble(s -> s.channels().getFirst().number("x"))
                .sum();
    }

    @Test
    void aShotHasALookBesidesThatOfItsLayer() {
        d.key(KeyCode.RIGHT);
        d.go(100);
        Driver.run(() -> d.window.layerActions().newLookForShots());
        d.key(KeyCode.SHIFT, KeyCode.RIGHT);
        assertThat(List.of(x(50), x(100))).containsExactly(1.0, 11.0);
        assertThat(d.text("#look")).endsWith("on 1 shot");
        d.choose("#look", "Use on all shots");
        assertThat(x(50)).isEqualTo(11);
        d.go(20);
        d.choose("#look", "Use on this shot only");
        assertThat(List.of(x(50), x(100))).containsExactly(11.0, 1.0);
        d.go(100);
        d.key(KeyCode.RIGHT);
        d.settle();
        assertThat(d.window.view().notice.get()).contains("applies to another shot");
    }

    @Test
    void aLookIsAppliedToTheSelectedShots() {
        d.go(20);
        d.key(KeyCode.SLASH);
        d.go(0);
        select(10);
        select(150);
        select(60);
        select(60);
        assertThat(d.window.view().selectedShots.get()).hasSize(2);
        Driver.run(() -> d.window.layerActions().newSpanOverShots());
        d.settle();
        List<Clip> spans =
                Driver.on(() -> d.window.session().state().layer().orElseThrow().clips());
        assertThat(spans)
                .extracting(c -> c.isSpan() + " " + c.start() + " to " + (c.end() - 1))
                .containsExactly("true 0 to 19", "true 96 to 191");
        Driver.run(
                () ->
                        d.window
                                .session()
                                .editLook(
                                        "Tint",
                                        l ->
                                                l.withStepAdded(
                                                        Step.withExampleSettings(
                                                                "tint", new GradientMap(), 3))));
        d.go(10);
        assertThat(d.text("#register")).startsWith("differs by up to");
        d.go(60);
        assertThat(d.text("#register")).isEqualTo("exact");
    }

    /** Shift-presses the lowest strip at a frame. */
    private void select(long frame) {
        double frames = (d.window.time().getWidth() - 24) / d.window.session().project().frames();
        double x = 12 + (frame + 0.5) * frames;
        double y = d.window.time().rowsBottom() + 8 + 20;
        Mouse.fire(d.window.time(), MouseEvent.MOUSE_PRESSED, x, y, true, false);
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
        assertThat(frame()).as("inside the rest").isEqualTo(135);
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
    void theTimeViewZoomsAroundThePlayhead() {
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
        double high = (d.window.time().rowsBottom() + 8 + 20) / d.window.time().getHeight();
        d.drag(d.window.time(), x(from), high, (x(to) - x(from)) * w, 0);
        d.settle();
    }

    @Test
    void aDraggedCutSnapsToAMarker() {
        dragCut(96, 110);
        assertThat(shots()).extracting(Clip::start).containsExactly(0L, 110L);
        assertThat(shots()).extracting(Clip::end).containsExactly(110L, 192L);
        d.go(130);
        d.key(KeyCode.K);
        d.go(0);
        dragCut(110, 130.8);
        assertThat(shots()).extracting(Clip::start).containsExactly(0L, 130L);
        d.key(KeyCode.CONTROL, KeyCode.Z);
        assertThat(shots()).extracting(Clip::start).as("one undo step").containsExactly(0L, 110L);
    }

    @Test
    void channelsCutAtTheirOwnFramesAndWipeAtTheirOwnSpeeds() {
        Driver.run(() -> d.window.view().face.set(Face.SEPARATE));
        d.settle();
        d.number("#red-cut-offset", "5");
        d.number("#green-wipe", "8");
        d.choose("#slit-by", "channel value");
        var channels = d.selectedLook().channels();
        assertThat(channels.get(0).channelSource().cutFrames()).isEqualTo(Value.of(5));
        assertThat(channels.get(1).channelSource().slitScan().wipeFrames()).isEqualTo(Value.of(8));
        assertThat(channels.get(2).channelSource().slitScan().by()).isEqualTo(SlitScan.By.CHANNEL);
        Plan plan = Driver.on(() -> d.window.session().plans().planner().plan(99));
        var channelSources = plan.layers().getFirst().looks().getFirst().channelSources();
        assertThat(((Plan.Picture) channelSources.get(0).picture().orElseThrow()).source().name())
                .isEqualTo("one");
        assertThat(channelSources.get(1).slit().orElseThrow().slices()).hasSize(2);
        assertThat(channelSources.get(2)).isNull();
        assertThat(plan.layers().getFirst().picture().orElseThrow().source().name())
                .isEqualTo("two");
    }

    @Test
    void aShotIsDraggedPastAnotherAndASpanInTime() {
        double top = d.window.time().getHeight();
        double ribbon = (d.window.time().rowsBottom() + 8 + 20) / top;
        double frames = (d.window.time().getWidth() - 24) / 192;
        String first = shots().getFirst().id();
        d.drag(d.window.time(), across(48), ribbon, 96 * frames, 0);
        assertThat(shots()).extracting(Clip::start).containsExactlyInAnyOrder(0L, 96L);
        assertThat(shots().stream().filter(c -> c.id().equals(first)).findFirst().orElseThrow())
                .extracting(Clip::start)
                .isEqualTo(96L);
        d.key(KeyCode.CONTROL, KeyCode.Z);
        assertThat(shots().getFirst().start()).isZero();
        d.click(d.window.time(), across(130), ribbon, 1, MouseButton.PRIMARY);
        assertThat(frame()).as("a press without a drag goes to its frame").isEqualTo(130);
        assertThat(shots()).extracting(Clip::start).containsExactly(0L, 96L);
    }

    private List<Marker> markers() {
        return Driver.on(() -> d.window.session().project().markers());
    }

    private double across(long frame) {
        double w = d.window.time().getWidth();
        return (12 + (frame + 0.5) / 192 * (w - 24)) / w;
    }

    @Test
    void aMarkerIsNamedColouredAndMoved() {
        d.go(60);
        d.key(KeyCode.K);
        double high = 20 / d.window.time().getHeight();
        d.click(d.window.time(), across(60), high, 1, MouseButton.SECONDARY);
        Driver.run(
                () -> {
                    TextField name = (TextField) d.inMenu("#marker-name");
                    name.setText("bang");
                    name.getOnAction().handle(null);
                });
        assertThat(markers()).extracting(Marker::name).containsExactly("bang");
        d.click(d.window.time(), across(60), high, 1, MouseButton.SECONDARY);
        Driver.run(() -> ((Button) d.inMenu("#marker-ink-ff0000")).fire());
        assertThat(markers().getFirst().colour()).contains(Ink.RED);
        double frames = (d.window.time().getWidth() - 24) / 192;
        d.drag(d.window.time(), across(60), high, 12 * frames, 0);
        assertThat(markers()).extracting(Marker::frame).containsExactly(72L);
        d.key(KeyCode.CONTROL, KeyCode.Z);
        assertThat(markers()).extracting(Marker::frame).containsExactly(60L);
    }

    @Test
    void theFramesAroundACutAreLooped() {
        d.go(90);
        d.key(KeyCode.SHIFT, KeyCode.SPACE);
        assertThat(d.window.session().project().playRange()).contains(new FrameRange(84, 108));
        assertThat(d.window.view().playing.get()).isTrue();
        d.key(KeyCode.SPACE);
        assertThat(d.window.view().playing.get()).isFalse();
    }

    @Test
    @SuppressWarnings("unchecked")
    void theSequenceGetsAnotherRateAndLengthAndShotsKeepTheirSeconds() {
        Driver.run(() -> d.window.sheetActions().sequence());
        d.settle();
        Driver.run(
                () -> ((ChoiceBox<Rational>) d.look("#sequence-rate")).setValue(Rational.of(12)));
        assertThat(shots()).extracting(Clip::length).containsExactly(48L, 48L);
        d.number("#sequence-length", "60");
        assertThat(shots()).extracting(Clip::length).containsExactly(48L, 12L);
    }

    @Test
    void aShotShowsItsFramesAndHasASoundLevel() {
        importTheTram();
        Driver.run(() -> d.window.view().face.set(Face.LAYER));
        d.settle();
        assertThat(d.text("#shot-frames")).startsWith("Sequence frames 192 to 287");
        d.number("#shot-level", "-6");
        Driver.run(() -> ((ToggleButton) d.look("#shot-mute")).fire());
        assertThat(shots().getLast().loudness()).isEqualTo(new Loudness(-6, true));
        assertThat(shots().getFirst().loudness()).isEqualTo(Loudness.AS_IT_IS);
        Driver.run(() -> d.window.session().edit("Rate", p -> Retiming.at(p, Rational.of(12))));
        d.go(100);
        assertThat(d.text("#shot-frames"))
                .contains("96 to 143")
                .contains("Source 24 fps")
                .contains("sequence 12 fps");
    }

    private boolean isMade(long frame) {
        return d.window
                .session()
                .plans()
                .known(frame)
                .filter(plan -> d.window.service().isReady(plan, 0.5))
                .isPresent();
    }

    @Test
    void upcomingFramesAreRenderedWhileIdle() {
        d.go(30);
        Driver.until("the pictures are rendered", () -> isMade(31) && isMade(60) && isMade(29));
        d.key(KeyCode.RIGHT);
        assertThat(Driver.on(() -> isMade(60))).as("another picture").isFalse();
        Driver.until("the pictures are rendered again", () -> isMade(60));
    }

    @Test
    void aShotSlipsWithTheShortcutKeyHeld() {
        importTheTram();
        d.key(KeyCode.CONTROL, KeyCode.OPEN_BRACKET);
        long in = shots().getLast().in();
        assertThat(in).isEqualTo(8);
        double frames = (d.window.time().getWidth() - 24) / 288;
        double ribbon = d.window.time().rowsBottom() + 8 + 20;
        double x = 12 + 240.5 * frames;
        held(MouseEvent.MOUSE_PRESSED, x, ribbon);
        held(MouseEvent.MOUSE_DRAGGED, x - 5 * frames, ribbon);
        held(MouseEvent.MOUSE_RELEASED, x - 5 * frames, ribbon);
        assertThat(shots().getLast().in()).isEqualTo(13);
        assertThat(shots().getLast().start()).isEqualTo(200);
    }

    /** Sends a mouse event with the shortcut key held. */
    private void held(EventType<MouseEvent> kind, double x, double y) {
        Mouse.fire(d.window.time(), kind, x, y, false, true);
    }

    private void importTheTram() {
        d.importFile(
                Path.of(System.getProperty("ivrik.home"), "demo/lantern-week/media/tram.webm"));
        Driver.until(
                "the item appears",
                () -> d.window.session().project().layers().getFirst().clips().size() == 3);
        d.go(200);
    }
}
