package ivrik.proof;

import ivrik.core.json.ProjectJson;
import ivrik.core.look.ChannelSettings;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.motion.Value;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.separation.Rgb;
import ivrik.core.threads.CancelledException;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.Parameter;
import ivrik.core.treatment.Treatment;
import ivrik.core.treatment.Treatments;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.locks.LockSupport;

/**
 * Treatments with random settings, cancelled after a while: in at least one of eight attempts the work ends
 * within 50 ms of its own time; the first attempts pass while Java compiles.
 */
final class CancelledRendering implements Trial {
    private static final int TIMES = 12;
    private static final int WIDTH = 1280;
    private static final int ATTEMPTS = 8;
    private static final double MAX_MS = 50;

    @Override
    public String name() {
        return "cancelled";
    }

    @Override
    public int run(long seed, Path folder) throws Exception {
        Random random = new Random(seed);
        Project demo = GeneratedProjects.project();
        for (int i = 0; i < TIMES; i++) {
            Treatment treatment = Treatments.all().get(random.nextInt(Treatments.all().size()));
            Project project = with(demo, step(treatment, random));
            Path file = folder.resolve(i + ".ivrik");
            Files.writeString(file, ProjectJson.write(project));
            long frame = random.nextInt(240);
            double least = Double.POSITIVE_INFINITY;
            for (int n = 0; n < ATTEMPTS && least > MAX_MS; n++) {
                least = Math.min(least, ended(project, frame, 5 + random.nextInt(200)));
            }
            if (least > MAX_MS) {
                throw new Failure(
                        "%s took %.0f ms to stop: frame %d of %s"
                                .formatted(treatment.description().id(), least, frame, file));
            }
            Files.delete(file);
        }
        return TIMES;
    }

    private static Project with(Project demo, Step step) {
        Look look = Look.atRest("l", new Rgb()).withStepAdded(step);
        Layer layer = demo.layers().getFirst();
        return demo.withLayers(List.of(layer.withLook(0, old -> look)));
    }

    private static Step step(Treatment treatment, Random random) {
        Step step = Step.withExampleSettings("t-1", treatment, 3);
        for (int channel = 0; channel < step.channels().size(); channel++) {
            ChannelSettings settings = step.channels().get(channel);
            for (Parameter p : treatment.description().parameters()) {
                double share = random.nextInt(3) == 0 ? 1 : random.nextDouble();
                double value = p.min() + share * (p.max() - p.min());
                settings = settings.with(p.name(), Value.of(value));
            }
            ChannelSettings any = settings;
            step = step.withChannel(channel, a -> any);
        }
        return step;
    }

    /**
     * Milliseconds from cancellation to the end of the work, minus the longest scheduling delay of another
     * thread; 0 or less if the work ended before.
     */
    private static double ended(Project project, long frame, int afterMs) {
        long end = System.nanoTime() + afterMs * 1_000_000L;
        AtomicLong waited = new AtomicLong();
        Thread other = Thread.ofPlatform().daemon().start(() -> wait(end, waited));
        try {
            GeneratedProjects.render(
                    project, frame, WIDTH, Workers.shared(), () -> System.nanoTime() > end);
        } catch (CancelledException e) {
            // expected
        }
        double took = (System.nanoTime() - end) / 1e6;
        other.interrupt();
        return took - waited.get() / 1e6;
    }

    private static void wait(long from, AtomicLong most) {
        long before = System.nanoTime();
        while (!Thread.interrupted()) {
            LockSupport.parkNanos(1_000_000);
            long now = System.nanoTime();
            if (now > from) {
                most.accumulateAndGet(now - before, Math::max);
            }
            before = now;
        }
    }
}
