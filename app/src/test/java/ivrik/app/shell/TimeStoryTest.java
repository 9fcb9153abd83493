package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.app.desk.Filmstrip;
import ivrik.app.session.View.Face;
import ivrik.cli.Ivrik;
import ivrik.core.look.Burst;
import ivrik.core.look.Burst.Direction;
import ivrik.core.motion.Anchor;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.project.Source;
import ivrik.core.sampling.Resample;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.Grain;
import ivrik.core.treatment.Shift;
import ivrik.core.treatment.TiledScroll;
import ivrik.media.decode.MovieReader;
import ivrik.media.encode.ExportFormat;
import ivrik.media.encode.ExportFormats;
import ivrik.media.encode.MovieWriter;
import ivrik.media.encode.Quality;

import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextField;
import javafx.scene.image.Image;
import javafx.scene.image.PixelFormat;
import javafx.scene.input.KeyCode;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/**
 * Two shots that meet at a cut, a burst at the cut, a swipe across it and grain over both; then the burst is
 * widened and the first shot replaced. The window's export equals the render of the command line.
 */
class TimeStoryTest {
    private static final Path DEMO =
            Path.of(System.getProperty("ivrik.home"), "demo/lantern-week/media");

    private static final FrameRange ABOUT_THE_CUT = new FrameRange(86, 97);
    private static final Size CLIP = new Size(640, 360);
    private static final Size SMALL = new Size(320, 180);
    private static final FrameRange ACROSS_THE_CUT = new FrameRange(94, 97);

    @TempDir Path folder;

    @Test
    void theRibbonShowsTheFramesThatAreThere() {
        try (Driver d = new Driver(folder.resolve("data"))) {
            d.importFile(DEMO.resolve("tram.webm"));
            d.settle();
            Source tram = Driver.on(() -> d.window.session().project().sources().getFirst());
            Filmstrip strip = Driver.on(() -> d.window.time().filmstrip());
            for (long frame : new long[] {0, 45, 90}) {
                Driver.until(
                        "frame " + frame + " is in the ribbon",
                        () -> Driver.on(() -> strip.picture(tram, frame)).isPresent());
            }
            int[][] colours = new int[3][];
            for (int i = 0; i < 3; i++) {
                long frame = 45 * i;
                Image image = Driver.on(() -> strip.picture(tram, frame)).orElseThrow();
                colours[i] = new int[128 * 72];
                image.getPixelReader()
                        .getPixels(
                                0,
                                0,
                                128,
                                72,
                                PixelFormat.getIntArgbInstance(),
                                colours[i],
                                0,
                                128);
            }
            assertThat(colours[1]).isNotEqualTo(colours[0]).isNotEqualTo(colours[2]);
            Frame frame = movieFrame(45);
            assertThat((colours[1][64 * 72] >> 16 & 255) / 255f)
                    .isCloseTo(frame.colour().getFirst().data()[64 * 72], within(0.02f));
        }
    }

    /** A frame of the tram at the size of the ribbon. */
    private static Frame movieFrame(long number) {
        try (MovieReader movie = new MovieReader(DEMO.resolve("tram.webm"), Workers.shared())) {
            return Resample.to(movie.frame(number), new Size(128, 72), Workers.shared());
        }
    }

    @Test
    void aBurstASwipeAndASpanAreRenderedTheSameByWindowAndCommandLine() throws IOException {
        Path project = folder.resolve("time.ivrik");
        Path shown = folder.resolve("shown.mkv");
        try (Driver d = new Driver(folder.resolve("data"))) {
            importBothShots(d);
            burstOnTheCut(d);
            swipeAcrossIt(d);
            grainOverBoth(d);
            widenTheBurstAndReplaceTheFirstShot(d);
            export(d, shown, ABOUT_THE_CUT);
            d.files.project = project;
            d.key(KeyCode.CONTROL, KeyCode.S);
            Driver.until("the project is saved", () -> d.window.session().isSaved());
        }
        assertSameRendering(project, shown, ABOUT_THE_CUT);
    }

    /** Asserts that the command line renders the frames that the window exported. */
    private void assertSameRendering(Path project, Path shown, FrameRange range)
            throws IOException {
        Path rendered = folder.resolve("rendered.mkv");
        StringWriter said = new StringWriter();
        int exit =
                Ivrik.run(
                        new PrintWriter(said, true),
                        new PrintWriter(said, true),
                        "render",
                        project.toString(),
                        "--frames",
                        range.toString(),
                        "-o",
                        rendered.toString());
        assertThat(exit).as(said.toString()).isZero();
        assertThat(Files.readAllBytes(rendered)).isEqualTo(Files.readAllBytes(shown));
    }

    @Test
    void channelDelaysDialsAndPictureMovementsAreRenderedTheSame() throws IOException {
        Path project = folder.resolve("times.ivrik");
        Path shown = folder.resolve("shown.mkv");
        try (Driver d = new Driver(folder.resolve("data"))) {
            importBothShots(d);
            Driver.run(
                    () ->
                            d.window
                                    .session()
                                    .edit(
                                            "Smaller",
                                            p -> p.withSequence(p.sequence().withSize(SMALL))));
            d.number("#red-x", "9");
            d.fromMenu("red-x", "Add all channels to new dial");
            d.settle();
            d.choose("#jitter-of", "y only");
            d.number("#jitter-amount", "4");
            d.number("#shutter-angle", "90");
            d.number("#shutter-samples", "3");
            times(d);
            Driver.run(() -> d.window.view().face.set(Face.LAYER));
            d.settle();
            d.fromMenu("layer-angle", "Set keyframe");
            d.go(97);
            d.number("#layer-angle", "8");
            d.number("#layer-pivot-x", "-200");
            spanThatShakesAndLags(d);
            export(d, shown, ACROSS_THE_CUT);
            d.files.project = project;
            d.key(KeyCode.CONTROL, KeyCode.S);
            Driver.until("the project is saved", () -> d.window.session().isSaved());
        }
        assertSameRendering(project, shown, ACROSS_THE_CUT);
    }

    private static void times(Driver d) {
        Driver.run(() -> d.window.view().face.set(Face.SEPARATE));
        d.settle();
        d.number("#red-delay", "2");
        d.number("#green-cut-offset", "-3");
        d.number("#blue-slit-delay", "4");
        d.number("#blue-wipe", "5");
    }

    private static void spanThatShakesAndLags(Driver d) {
        d.key(KeyCode.SHIFT, KeyCode.N);
        d.settle();
        Driver.run(() -> d.window.steps().add(new Shift()));
        d.settle();
        d.choose("#section", "whole picture, after rejoin");
        d.number("#jitter-amount", "3");
        Driver.run(() -> d.window.view().face.set(Face.SEPARATE));
        d.settle();
        d.number("#green-delay", "3");
    }

    private void importBothShots(Driver d) throws IOException {
        Files.copy(DEMO.resolve("register-chart.png"), folder.resolve("register-chart.png"));
        d.files.footage = List.of(small("tram"), small("lanterns"));
        d.key(KeyCode.CONTROL, KeyCode.I);
        Driver.until(
                "both are in",
                () ->
                        d.window.session().project().layers().stream()
                                .anyMatch(l -> l.clips().size() == 2));
        d.settle();
        Driver.run(() -> d.window.view().frame.set(92));
        d.settle();
    }

    /**
     * A clip of the demo with all frames at a fraction of its size, because the test is about time.
     */
    private Path small(String name) {
        Path file = folder.resolve(name + ".mkv");
        try (MovieReader movie = new MovieReader(DEMO.resolve(name + ".webm"), Workers.shared());
                MovieWriter writer =
                        new MovieWriter(
                                file,
                                MovieWriter.Options.of(
                                        ExportFormats.FFV1, Quality.GOOD, CLIP, movie.rate()),
                                Workers.shared())) {
            for (long n = 0; n < movie.frames(); n++) {
                writer.picture(Resample.to(movie.frame(n), CLIP, Workers.shared()));
            }
            writer.finish();
        }
        return file;
    }

    private static void burstOnTheCut(Driver d) {
        d.key(KeyCode.SHIFT, KeyCode.K);
        d.settle();
        Burst burst = d.selectedLook().bursts().getFirst();
        assertThat(burst.anchor()).isEqualTo(new Anchor.AtCut("clip-2"));
        assertThat(burst.envelope().phases()).isEqualTo(3);
        assertThat(burst.directions())
                .containsExactly(Direction.AS_SET, Direction.FIXED, Direction.REVERSED);
    }

    private static void swipeAcrossIt(Driver d) {
        Driver.run(() -> d.window.steps().add(new TiledScroll()));
        for (int channel = 1; channel <= 3; channel++) {
            d.key(KeyCode.getKeyCode(Integer.toString(channel)));
            d.key(KeyCode.BACK_SPACE); // the burst moves the keyframe from its former frame
        }
        d.key(KeyCode.SHIFT, KeyCode.K);
        d.settle();
        d.choose("#burst-shape", "Swipe");
        for (String channel : new String[] {"0", "1", "2"}) {
            d.number("#burst-factor-2-" + channel, "1");
        }
        Driver.run(() -> d.window.view().face.set(Face.TREATMENT));
        d.settle();
        d.number("#shutter-angle", "90");
        assertThat(d.selectedLook().bursts().get(1).envelope().remains()).isOne();
    }

    private static void grainOverBoth(Driver d) {
        d.key(KeyCode.SHIFT, KeyCode.N);
        d.settle();
        Driver.run(() -> d.window.steps().add(new Grain()));
        d.settle();
        Project now = Driver.on(() -> d.window.session().project());
        assertThat(now.layers()).hasSize(2);
        assertThat(now.layers().getLast().clips().getFirst().isSpan()).isTrue();
        assertThat(now.layers().getLast().range()).isEqualTo(now.allFrames());
    }

    private void widenTheBurstAndReplaceTheFirstShot(Driver d) {
        Layer shots = Driver.on(() -> d.window.session().project().layers().getFirst());
        Driver.run(
                () -> {
                    d.window.session().selectLayer(shots.id());
                    d.window.session().selectBurst("burst-1");
                });
        d.key(KeyCode.PERIOD);
        d.key(KeyCode.PERIOD);
        assertThat(d.selectedLook().bursts().getFirst().envelope().before()).isEqualTo(8);
        d.files.source = folder.resolve("register-chart.png");
        d.fromMenu("source-tram", "Replace file...");
        Driver.until(
                "it is another file",
                () ->
                        d.window
                                .session()
                                .project()
                                .sources()
                                .getFirst()
                                .path()
                                .endsWith("register-chart.png"));
        d.settle();
        assertThat(d.selectedLook().bursts()).hasSize(2);
    }

    @SuppressWarnings("unchecked")
    private static void export(Driver d, Path movie, FrameRange range) {
        d.key(KeyCode.CONTROL, KeyCode.E);
        Driver.run(
                () ->
                        ((ChoiceBox<ExportFormat>) d.look("#export-format"))
                                .setValue(ExportFormats.FFV1));
        Driver.run(
                () -> ((TextField) d.look("#export-from")).setText(Long.toString(range.first())));
        Driver.run(() -> ((TextField) d.look("#export-to")).setText(Long.toString(range.last())));
        Driver.run(() -> ((TextField) d.look("#export-target")).setText(movie.toString()));
        d.click("#export-start");
        Driver.until(
                "the export is done",
                () -> ((Labeled) d.look("#export-text")).getText().startsWith("Exported"));
        d.key(KeyCode.ESCAPE);
    }
}
