package ivrik.app.shell;

import ivrik.core.look.Look;
import ivrik.core.look.Overscan;
import ivrik.core.look.Step;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Jitter;
import ivrik.core.motion.Peg;
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
import ivrik.core.treatment.Lens;
import ivrik.core.treatment.Shift;

import javafx.application.Platform;
import javafx.scene.input.KeyCode;

import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.locks.LockSupport;

/**
 * Not a test: measures how long the interface thread is busy at a stretch, in a session of 200 edits on 600
 * frames with four treatments, one of them a lens that moves, and automatic overscan. A second thread
 * asks it for an answer without pause; how long that takes is how long a hand waits, and how much of a
 * processor the interface thread had meanwhile is how long it worked at a stretch: the rest is the collector,
 * the thread that draws, and others that had the processor. {@code bench/interface} runs it and prints what it
 * found.
 */
final class InterfaceMeter {
    private static final int EDITS = 200;
    private static final int FRAMES = 96;
    private static final int CLIPS = 7;

    private final ThreadMXBean threads = ManagementFactory.getThreadMXBean();
    private final Queue<Double> waits = new ConcurrentLinkedQueue<>();
    private final Queue<Double> works = new ConcurrentLinkedQueue<>();
    private volatile boolean measuring = true;

    private InterfaceMeter() {}

    public static void main(String[] args) throws IOException {
        new InterfaceMeter().run();
        System.exit(0);
    }

    private void run() throws IOException {
        GivingWay.install();
        Path data = Files.createTempDirectory("ivrik-interface");
        Driver d = new Driver(data);
        Driver.run(() -> d.window.session().open(project()));
        d.settle();
        Thread asking = new Thread(this::ask, "asking");
        asking.setDaemon(true);
        work(d, EDITS / 4); // while Java compiles
        asking.start();
        work(d, EDITS);
        measuring = false;
        report();
        d.close();
    }

    /** Nudges, other lanes, other frames, other treatments; a hand that does not wait for the picture. */
    static void work(Driver d, int edits) {
        List<KeyCode> keys =
                List.of(
                        KeyCode.RIGHT,
                        KeyCode.UP,
                        KeyCode.LEFT,
                        KeyCode.RIGHT,
                        KeyCode.DOWN,
                        KeyCode.RIGHT);
        List<String> steps = List.of("shift-1", "lens-1", "gaussian-1", "grain-1");
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

    private void ask() {
        long asked = Driver.on(() -> Thread.currentThread().threadId());
        while (measuring) {
            long worked = threads.getThreadCpuTime(asked);
            long began = System.nanoTime();
            Object lock = new Object();
            boolean[] done = new boolean[1];
            Platform.runLater(
                    () -> {
                        synchronized (lock) {
                            done[0] = true;
                            lock.notifyAll();
                        }
                    });
            synchronized (lock) {
                while (!done[0]) {
                    try {
                        lock.wait();
                    } catch (InterruptedException e) {
                        return;
                    }
                }
            }
            waits.add((System.nanoTime() - began) / 1e6);
            works.add((threads.getThreadCpuTime(asked) - worked) / 1e6);
            LockSupport.parkNanos(500_000);
        }
    }

    private void report() {
        System.out.printf("interface thread, %d edits%n", EDITS);
        report("an answer takes", waits);
        report("works at a stretch", works);
    }

    private static void report(String what, Queue<Double> milliseconds) {
        double[] all = milliseconds.stream().mapToDouble(w -> w).sorted().toArray();
        System.out.printf(
                "%-18s median %.1f ms, 99 in 100 under %.1f ms, longest %.1f ms; over 16 ms %d"
                        + " times, over 50 ms %d times%n",
                what,
                all[all.length / 2],
                all[all.length * 99 / 100],
                all[all.length - 1],
                Arrays.stream(all).filter(w -> w > 16).count(),
                Arrays.stream(all).filter(w -> w > 50).count());
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
                                new Lens(),
                                new GaussianBlur(),
                                new Grain())
                        .withOverscan(new Overscan(Overscan.Kind.AUTOMATIC, 1));
        look = look.withStep("grain-1", s -> Step.shownOff(s.id(), s.kind(), 3));
        Value growing =
                new Value(0, List.of(new Peg(0, 0, Ease.SMOOTH), new Peg(600, 3, Ease.LINEAR)));
        Jitter jitter = Jitter.NONE.withAmount(Value.of(3));
        for (int lane = 0; lane < 3; lane++) {
            look =
                    look.withAmounts("lens-1", lane, a -> a.with("k1", growing))
                            .withAmounts("gaussian-1", lane, a -> a.with("radius", Value.of(4)))
                            .withAmounts("shift-1", lane, a -> a.withJitter(jitter));
        }
        return look;
    }
}
