package ivrik.app.shell;

import ivrik.app.session.GraphTargets;
import ivrik.app.session.TakeEdits;
import ivrik.app.session.View.Band;
import ivrik.app.session.View.Face;
import ivrik.app.session.View.Show;
import ivrik.app.session.View.Surround;
import ivrik.app.session.View.TakeId;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.look.Mask;
import ivrik.core.motion.Value;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Import;
import ivrik.media.encode.Export;
import ivrik.media.encode.ExportFormats;

import javafx.geometry.Point2D;
import javafx.scene.control.TextField;
import javafx.stage.Stage;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.function.Consumer;

/** The pictures of the window with the demo. */
final class Screenshots {
    /** Number of edits for the pictures of treatments. */
    private static final int TREATMENT_EDITS = 4;

    private final Deque<Screenshot> shots = new ArrayDeque<>();
    private Path folder;

    /** The picture of a demo without a display. */
    void demo(Path file, Runnable end) {
        folder = file.toAbsolutePath().getParent();
        shots.add(new Screenshot(file, w -> w.view().frame.set(86)));
        run(
                () -> {
                    System.out.println(
                            "No display found. A picture of the demo window was written to "
                                    + file.toAbsolutePath());
                    end.run();
                });
    }

    /** The pictures of the documentation. */
    void all(Path into, Runnable end) {
        folder = into;
        try {
            Files.createDirectories(into);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        shot("window", w -> w.view().frame.set(86));
        shot(
                "proof-scheme",
                w -> {
                    w.view().darkroom.set(false);
                    w.view().surround.set(Surround.GREY);
                    w.view().scopes.set(true);
                    w.view().frame.set(112);
                });
        shot(
                "split-and-close",
                w -> {
                    w.view().darkroom.set(true);
                    w.view().surround.set(Surround.BLACK);
                    w.view().scopes.set(false);
                    w.view().frame.set(92);
                    w.view().split.set(0.52);
                    w.view().zoom.set(4);
                    w.view().centre.set(new Point2D(0.5, 0.42));
                    w.view().handles.set(false);
                });
        shot(
                "takes",
                w -> {
                    w.view().split.set(-1);
                    w.view().zoom.set(0);
                    w.view().handles.set(true);
                    w.view().frame.set(112);
                    ScreenshotLooks.keepTakes(new TakeEdits(w.session(), w.view()));
                    w.view().takeA.set(new TakeId("shots", "take-2"));
                    w.view().paneA.set(Show.TAKE);
                    w.view().takeB.set(new TakeId("shots", "take-4"));
                    w.view().paneB.set(Show.OTHER_TAKE);
                    w.view().twoPanes.set(true);
                    w.view().band.set(Band.TAKES);
                });
        shot(
                "layer",
                w -> {
                    w.view().band.set(Band.NONE);
                    w.view().twoPanes.set(false);
                    w.view().paneA.set(Show.RESULT);
                    w.view().frame.set(9);
                    w.session().selectLayer("caption");
                    w.view().face.set(Face.LAYER);
                });
        shot(
                "channel-delay",
                w -> {
                    w.session().selectLayer("shots");
                    w.session().editLook("Change timing", ScreenshotLooks::withTimes);
                    w.view().frame.set(101);
                    w.view().face.set(Face.SEPARATE);
                });
        shot(
                "blends",
                w -> {
                    w.session().undo();
                    w.session().selectLook("look-1");
                    w.view().frame.set(92);
                    w.view().face.set(Face.REJOIN);
                    w.view().band.set(Band.BLENDS);
                });
        shot(
                "treatments",
                w -> {
                    w.view().band.set(Band.NONE);
                    w.view().face.set(Face.TREATMENT);
                    w.view().frame.set(40);
                    w.session().editLook("Add treatments", ScreenshotLooks::withTreatments);
                    w.session().selectCell("lens-distortion-1", 0);
                });
        shot("treatment-sheet", w -> w.view().band.set(Band.TREATMENTS));
        shot("looks", w -> w.view().band.set(Band.LOOKS));
        shot(
                "screen",
                w -> {
                    w.view().band.set(Band.NONE);
                    w.view().zoom.set(1);
                    w.session().editLook("Apply CRT screen", l -> BuiltInLooks.named("crt"));
                    w.session().selectCell("phosphor-screen-1", 0);
                    w.view().face.set(Face.LOOK);
                });
        shot(
                "pins",
                w -> {
                    w.view().band.set(Band.NONE);
                    w.view().zoom.set(0);
                    w.view().face.set(Face.TREATMENT);
                    w.session().editLook("Apply Ghost warp", l -> BuiltInLooks.named("ghost-warp"));
                    w.session().selectCell("", 0);
                });
        shot(
                "mask",
                w -> {
                    Look glow = BuiltInLooks.named("colour-streak");
                    Mask pinks = glow.mask().with("hue", Value.of(335));
                    w.session().editLook("Apply Colour streak", l -> glow.withMask(pinks));
                    w.view().face.set(Face.MASK);
                    w.view().twoPanes.set(true);
                    w.view().paneB.set(Show.MASK_OVERLAY);
                });
        shot(
                "burst",
                w -> {
                    w.view().twoPanes.set(false);
                    for (int i = 0; i < TREATMENT_EDITS; i++) {
                        w.session().undo();
                    }
                    w.view().frame.set(92);
                    w.session().selectBurst("parting");
                    w.view().face.set(Face.BURST);
                });
        shot(
                "swipe",
                w -> {
                    w.session().selectLook("look-3");
                    w.view().face.set(Face.LOOK);
                    w.view().tall.set(true);
                    w.view().graphed.set(new GraphTargets.OfTreatment("x"));
                    w.view().timeFrom.set(160);
                    w.view().timeShown.set(60);
                    w.view().frame.set(189);
                });
        shot(
                "export",
                w -> {
                    w.view().timeShown.set(0);
                    w.view().tall.set(false);
                    w.session().selectLook("look-1");
                    w.view().frame.set(92);
                    w.view().face.set(Face.TREATMENT);
                    w.export();
                });
        shot(
                "commands",
                w -> {
                    w.sheets().away();
                    w.commandList();
                    ((TextField) w.sheets().lookup("#command-search")).setText("grain");
                });
        shot(
                "welcome",
                w -> {
                    w.sheets().away();
                    w.session().markSaved(w.session().project());
                    w.projects().startNew();
                });
        shots.add(Screenshot.onlyPreparing(w -> w.take(List.of(fringed()))));
        shot("lens", w -> w.sheetActions().lens());
        run(end);
    }

    /** A frame of the tram with lateral chromatic aberration. */
    private static Path fringed() {
        Path tram = DemoCopy.FOLDER.resolve("media/tram.webm");
        Path fringed = DemoCopy.FOLDER.resolve("poor-lens.png");
        Look look =
                BuiltInLooks.named("chromatic-aberration")
                        .withDial("amount", 0.6)
                        .withDial("smear", 0);
        Project project = Import.project(Import.source(tram, "tram"), look);
        Export.run(
                Export.Order.of(project, fringed, ExportFormats.PNG)
                        .withRange(new FrameRange(60, 60)),
                Workers.shared(),
                done -> {},
                Cancellation.NEVER);
        return fringed;
    }

    private void shot(String name, Consumer<MainWindow> prepare) {
        shots.add(new Screenshot(folder.resolve(name + ".png"), prepare));
    }

    private void run(Runnable end) {
        Stage stage = new Stage();
        Path data;
        try {
            data = Files.createTempDirectory("ivrik-shots");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        MainWindow window = new MainWindow(stage, data);
        stage.show();
        window.open(DemoCopy.make());
        new ScreenshotTaking(shots, window, stage, end).start();
    }
}
