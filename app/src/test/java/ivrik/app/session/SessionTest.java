package ivrik.app.session;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.app.session.State.Selection;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Keyframe;
import ivrik.core.motion.Rational;
import ivrik.core.motion.Value;
import ivrik.core.picture.Size;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.project.Source;
import ivrik.media.encode.OddSizes;
import ivrik.media.encode.Quality;

import javafx.geometry.Point2D;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

class SessionTest {
    @TempDir Path folder;

    private final Session session = new Session();

    static Project project(String path) {
        Source source =
                new Source(
                        "s",
                        "s",
                        path,
                        Source.Kind.STILL,
                        new Size(8, 8),
                        Rational.of(24),
                        1,
                        false);
        return Project.empty("p")
                .withSources(List.of(source))
                .withLayers(
                        List.of(
                                Layer.of(
                                        "a",
                                        "a",
                                        BuiltInLooks.named("neutral"),
                                        new Clip("s", 0, 10, 0))));
    }

    @BeforeEach
    void open() {
        session.open(project("s.png"));
    }

    private void nudge(double x) {
        session.editLook("Nudge to " + x, l -> ChannelEdits.with(l, "shift-1", 0, 0, "x", x));
    }

    private double x() {
        return ChannelEdits.shifts(session.state(), 0).getFirst().getX();
    }

    @Test
    void undoAndRedoNameTheirStates() {
        nudge(1);
        nudge(2);
        assertThat(session.undoName()).contains("Nudge to 2.0");
        session.undo();
        assertThat(x()).isEqualTo(1);
        assertThat(session.redoName()).contains("Nudge to 2.0");
        session.undo();
        assertThat(x()).isZero();
        assertThat(session.undoName()).isEmpty();
        session.undo();
        session.redo();
        session.redo();
        assertThat(x()).isEqualTo(2);
    }

    @Test
    void aNewEditClearsRedo() {
        nudge(1);
        session.undo();
        nudge(5);
        assertThat(session.redoName()).isEmpty();
        session.redo();
        assertThat(x()).isEqualTo(5);
    }

    @Test
    void anEditWithoutEffectAddsNoUndoStep() {
        session.editLook("Nothing", l -> l);
        assertThat(session.undoName()).isEmpty();
        assertThat(session.isSaved()).isTrue();
    }

    @Test
    void aDragIsOneUndoStep() {
        nudge(1);
        Session.Gesture drag = session.gesture("Drag");
        for (int i = 2; i < 9; i++) {
            double to = i;
            drag.editLook(l -> ChannelEdits.with(l, "shift-1", 0, 0, "x", to));
        }
        assertThat(x()).isEqualTo(8);
        session.undo();
        assertThat(x()).isEqualTo(1);
        session.redo();
        assertThat(x()).isEqualTo(8);
    }

    @Test
    void aDragBackToItsStartAddsNoUndoStep() {
        Session.Gesture drag = session.gesture("Drag");
        drag.editLook(l -> ChannelEdits.with(l, "shift-1", 0, 0, "x", 4));
        drag.editLook(l -> ChannelEdits.with(l, "shift-1", 0, 0, "x", 0));
        assertThat(session.undoName()).isEmpty();
        assertThat(x()).isZero();
    }

    @Test
    void selectionIsNoUndoStepButUndoRestoresIt() {
        session.selectChannel(2);
        nudge(3);
        session.selectChannel(0);
        assertThat(session.state().channel()).isZero();
        session.undo();
        assertThat(session.state().channel()).isEqualTo(2);
    }

    @Test
    void aSelectionPastTheEndIsClamped() {
        session.select(new Selection("gone", "gone", "gone", "gone", 9));
        assertThat(session.state().channel()).isEqualTo(2);
        assertThat(session.state().stepId()).isEqualTo("shift-1");
        assertThat(session.state().layer().orElseThrow().id()).isEqualTo("a");
    }

    @Test
    void aKeyframedValueGetsAKeyframeAndAFixedOneIsSet() {
        Value moving =
                new Value(
                        0,
                        List.of(new Keyframe(0, 0, Ease.LINEAR), new Keyframe(8, 8, Ease.LINEAR)));
        session.editLook("Keyframe", l -> l.withSettings(0, 0, a -> a.with("x", moving)));
        session.editLook("Set", l -> ChannelEdits.with(l, "shift-1", 0, 4, "x", 1));
        assertThat(ChannelEdits.shifts(session.state(), 4).getFirst()).isEqualTo(new Point2D(1, 0));
        assertThat(ChannelEdits.shifts(session.state(), 8).getFirst()).isEqualTo(new Point2D(8, 0));
        session.editLook("Same", l -> ChannelEdits.with(l, "shift-1", 0, 2, "x", 0.5));
        assertThat(session.undoName()).contains("Set");
    }

    @Test
    void settingsOfVersion2AreRead() throws IOException {
        Files.writeString(
                folder.resolve("window.json"),
                """
                {"closeUpShare": 0.4, "recent": ["/p"], "exports": {"/p": {
                  "form": "ffv1", "quality": "FINEST", "sampling": "444", "scale": 0.5,
                  "odd": "PAD", "dither": true, "sound": false, "first": 3, "last": 9,
                  "folder": "/out"}}}
                """);
        Preferences read = Preferences.load(folder);
        assertThat(read.controlsShare()).isEqualTo(0.4);
        assertThat(read.exports().get("/p").format()).isEqualTo("ffv1");
        assertThat(read.exports().get("/p").quality()).isEqualTo(Quality.BEST);
    }

    @Test
    void settingsAreRememberedAndDamagedOnesIgnored() throws IOException {
        Preferences settings = Preferences.FIRST;
        for (int i = 0; i < 12; i++) {
            settings = settings.withRecent(Path.of("/p" + i));
        }
        settings =
                settings.withRecent(Path.of("/p9"))
                        .withDarkroom(false)
                        .withShares(0.2, 0.8, 0.6, 0.4)
                        .withExport(
                                Path.of("/p9"),
                                new SavedExportSettings(
                                        "png-16",
                                        Quality.SMALL,
                                        "444",
                                        0.5,
                                        OddSizes.PAD,
                                        true,
                                        false,
                                        3,
                                        9,
                                        "/out"));
        settings.save(folder);
        Preferences again = Preferences.load(folder);
        assertThat(again).isEqualTo(settings);
        assertThat(again.recent()).hasSize(8).startsWith("/p9", "/p11").doesNotHaveDuplicates();
        Files.writeString(folder.resolve("window.json"), "{\"recent\": 3");
        assertThat(Preferences.load(folder)).isEqualTo(Preferences.FIRST);
    }

    @Test
    void anEditWithoutEffectIsExplained() {
        session.selectChannel(1);
        session.editLook("Mute", l -> l.withChannel(1, s -> s.withMute(true)));
        session.editLook("Nudge", l -> ChannelEdits.with(l, "shift-1", 1, 0, "x", 3));
        assertThat(NoEffectReason.of(session, 0)).contains("No visible effect: Green is muted");
        assertThat(NoEffectReason.of(session, 50).orElseThrow())
                .contains("has no picture at frame 50");
        session.editLook(
                "Solo",
                l ->
                        l.withChannel(1, s -> s.withMute(false))
                                .withChannel(0, s -> s.withSolo(true)));
        session.editLook("Nudge", l -> ChannelEdits.with(l, "shift-1", 1, 0, "x", 4));
        assertThat(NoEffectReason.of(session, 0).orElseThrow())
                .contains("is not soloed, but another channel is");
        session.edit("Hide", p -> p.withLayer("a", l -> l.withVisible(false)));
        session.editLook("Nudge", l -> ChannelEdits.with(l, "shift-1", 0, 0, "x", 9));
        assertThat(NoEffectReason.of(session, 0).orElseThrow()).contains("a is hidden");
    }

    @Test
    void historyIsLimitedByMemoryNotByCount() {
        History small = new History(40_000);
        State state = session.state();
        for (int i = 1; i <= 2000; i++) {
            double to = i;
            session.editLook("Nudge", l -> ChannelEdits.with(l, "shift-1", 0, 0, "x", to));
            small.add("Nudge", state, session.state());
            state = session.state();
        }
        assertThat(small.size()).isBetween(10, 200);
        assertThat(small.undo()).isPresent();
        Value long1 =
                new Value(
                        0,
                        java.util.stream.LongStream.range(0, 900)
                                .mapToObj(n -> new Keyframe(n, n, Ease.LINEAR))
                                .toList());
        session.editLook("Keyframes", l -> l.withSettings(0, 0, a -> a.with("x", long1)));
        small.add("Keyframes", state, session.state());
        assertThat(small.size()).as("a single large result stays").isEqualTo(1);
        assertThat(small.undoName()).contains("Keyframes");
        while (session.undoName().isPresent()) {
            session.undo();
        }
        assertThat(x()).as("all 2000 small edits are in the history").isZero();
    }
}
