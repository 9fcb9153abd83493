package ivrik.app.shell;

import ivrik.app.session.View.Band;
import ivrik.app.session.View.Face;
import ivrik.core.look.Look;
import ivrik.core.look.Overscan;
import ivrik.core.look.Step;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Jitter;
import ivrik.core.motion.Keyframe;
import ivrik.core.motion.Rational;
import ivrik.core.motion.Value;
import ivrik.core.picture.Size;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.project.Sequence;
import ivrik.core.project.Source;
import ivrik.core.separation.Rgb;
import ivrik.core.treatment.GaussianBlur;
import ivrik.core.treatment.Grain;
import ivrik.core.treatment.LensDistortion;
import ivrik.core.treatment.Shift;

import javafx.scene.input.KeyCode;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.locks.LockSupport;

/**
 * Measures the longest stretches of work on the interface thread: in a session of 200 edits on 600 frames
 * with four treatments, a moving lens and automatic overscan, or while menus and sheets are opened.
 * {@code bench/interface} runs the program and prints the result. Not a test.
 */
final class InterfaceMeter {
    private static final int EDITS = 200;
    private static final int FRAMES = 96;
    private static final int CLIPS = 7;

    private InterfaceMeter() {}

    /**
     * @param args {@code openings} to measure the opening of menus and sheets
     */
    public static void main(String[] args) throws IOException {
        ThreadPriorities.install();
        Driver d = new Driver(Files.createTempDirectory("ivrik-interface"));
        if (List.of(args).contains("openings")) {
            openings(d);
        } else {
            edits(d);
        }
        d.close();
        System.exit(0);
    }

    private static void edits(Driver d) {
        Driver.run(() -> d.window.session().open(project()));
        d.settle();
        work(d, EDITS / 4); // warm-up: Java compiles
        try (Waits waits = new Waits()) {
            work(d, EDITS);
            System.out.printf("interface thread, %d edits%n", EDITS);
            waits.report();
        }
    }

    /** Opens and closes each menu and sheet three times. */
    private static void openings(Driver d) {
        Driver.run(() -> d.window.openDemo());
        d.settle();
        Map<String, Runnable> doors = new LinkedHashMap<>();
        for (Face face : Face.values()) {
            doors.put("controls: " + face, () -> d.window.view().face.set(face));
        }
        for (Band band : Band.values()) {
            doors.put("band: " + band, () -> d.window.view().band.set(band));
        }
        doors.put("command list", () -> d.window.commandList());
        doors.put("export", () -> d.window.export());
        doors.put("scopes", () -> d.window.view().scopes.set(true));
        doors.put("second pane", () -> d.window.view().twoPanes.set(true));
        for (String layer : List.of("title", "halation", "shots")) {
            doors.put("layer: " + layer, () -> d.window.session().selectLayer(layer));
        }
        System.out.println("longest answer and longest work in ms, three times");
        try (Waits waits = new Waits()) {
            Map<String, String> lines = new LinkedHashMap<>();
            for (int round = 0; round < 3; round++) {
                doors.forEach(
                        (name, open) -> {
                            waits.anew();
                            Driver.run(open);
                            d.settle();
                            Driver.sleep(300);
                            lines.merge(
                                    name,
                                    String.format(
                                            "%8.1f %6.1f",
                                            waits.longestAnswer(), waits.longestWork()),
                                    (before, now) -> before + "   " + now);
                            Driver.run(() -> close(d));
                            d.settle();
                        });
            }
            lines.forEach((name, found) -> System.out.printf("%-24s%s%n", name, found));
        }
    }

    private static void close(Driver d) {
        d.window.sheets().away();
        d.window.view().band.set(Band.NONE);
        d.window.view().face.set(Face.TREATMENT);
        d.window.view().scopes.set(false);
        d.window.view().twoPanes.set(false);
    }

    /** Nudges, changes channels, frames and treatments without waiting for the picture. */
    static void work(Driver d, int edits) {
        List<KeyCode> keys =
                List.of(
                        KeyCode.RIGHT,
                        KeyCode.UP,
                        KeyCode.LEFT,
                        KeyCode.RIGHT,
                        KeyCode.DOWN,
                        KeyCode.RIGHT);
        List<String> steps = List.of("shift-1", "lens-distortion-1", "gaussian-1", "grain-1");
        for (int i = 0; i < edits; i++) {
            int number = i;
            if (i % 10 == 9) {
                Driver.run(
                        () ->
                                d.window
                                        .session()
                                        .selectCell(steps.get(number / 10 % 4), number / 10 % 3));
                Driver.run(() -> d.window.view().frame.set(number * 3L));
            }
            d.key(keys.get(i % keys.size()));
            LockSupport.parkNanos(60_000_000);
        }
        d.settle();
    }

    static Project project() {
        Path tram =
                Path.of(System.getProperty("ivrik.home"), "demo/lantern-week/media/tram.webm")
                        .toAbsolutePath();
        Source source =
                new Source(
                        "tram",
                        "tram",
                        tram.toString(),
                        Source.Kind.MOVIE,
                        new Size(1280, 720),
                        Rational.of(24),
                        FRAMES,
                        true);
        List<Clip> clips = new ArrayList<>();
        for (int i = 0; i < CLIPS; i++) {
            clips.add(new Clip("tram", (long) i * FRAMES, FRAMES, 0));
        }
        return Project.empty("six hundred frames")
                .withSequence(new Sequence(new Size(1280, 720), Rational.of(24)))
                .withSources(List.of(source))
                .withLayers(
                        List.of(Layer.of("shots", "shots", look(), clips.toArray(Clip[]::new))));
    }

    private static Look look() {
        Look look =
                Look.atRest(
                                "four",
                                new Rgb(),
                                new Shift(),
                                new LensDistortion(),
                                new GaussianBlur(),
                                new Grain())
                        .withOverscan(new Overscan(Overscan.Kind.AUTOMATIC, 1));
        look = look.withStep("grain-1", s -> Step.withExampleSettings(s.id(), s.kind(), 3));
        Value growing =
                new Value(
                        0,
                        List.of(
                                new Keyframe(0, 0, Ease.SMOOTH),
                                new Keyframe(600, 3, Ease.LINEAR)));
        Jitter jitter = Jitter.NONE.withAmount(Value.of(3));
        for (int channel = 0; channel < 3; channel++) {
            look =
                    look.withSettings("lens-distortion-1", channel, a -> a.with("k1", growing))
                            .withSettings("gaussian-1", channel, a -> a.with("radius", Value.of(4)))
                            .withSettings("shift-1", channel, a -> a.withJitter(jitter));
        }
        return look;
    }
}
