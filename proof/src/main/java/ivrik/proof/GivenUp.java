package ivrik.proof;

import ivrik.core.json.ProjectJson;
import ivrik.core.look.Amounts;
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
 * Treatments with their numbers anywhere in their ranges, given up after a while: the work has ended within
 * 50 ms of its own time, at least once in eight times, of which the first go by while Java compiles.
 */
final class GivenUp implements Trial {
    private static final int TIMES = 12;
    private static final int WIDTH = 1280;
    private static final int ATTEMPTS = 8;
    private static final double MOST_MS = 50;

    @Override
    public String name() {
        return "given-up";
    }

    @Override
    public int run(long seed, Path folder) throws Exception {
        Random random = new Random(seed);
        Project demo = Made.project();
        for (int i = 0; i < TIMES; i++) {
            Treatment treatment = Treatments.all().get(random.nextInt(Treatments.all().size()));
            Project project = with(demo, step(treatment, random));
            Path file = folder.resolve(i + ".ivrik");
            Files.writeString(file, ProjectJson.write(project));
            long frame = random.nextInt(240);
            double least = Double.POSITIVE_INFINITY;
            for (int n = 0; n < ATTEMPTS && least > MOST_MS; n++) {
                least = Math.min(least, ended(project, frame, 5 + random.nextInt(200)));
            }
            if (least > MOST_MS) {
                throw new Failure(
                        "%s went on for %.0f ms: frame %d of %s"
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
        Step step = Step.shownOff("t-1", treatment, 3);
        for (int lane = 0; lane < step.lanes().size(); lane++) {
            Amounts amounts = step.lanes().get(lane);
            for (Parameter p : treatment.description().parameters()) {
                double share = random.nextInt(3) == 0 ? 1 : random.nextDouble();
                double value = p.min() + share * (p.max() - p.min());
                amounts = amounts.with(p.name(), Value.of(value));
            }
            Amounts any = amounts;
            step = step.withLane(lane, a -> any);
        }
        return step;
    }

    /**
     * How many milliseconds after it was no longer wanted the work ended, less the longest time that another
     * thread of this process had to wait for the processor meanwhile; 0 or less if it was done before.
     */
    private static double ended(Project project, long frame, int afterMs) {
        long end = System.nanoTime() + afterMs * 1_000_000L;
        AtomicLong waited = new AtomicLong();
        Thread other = Thread.ofPlatform().daemon().start(() -> wait(end, waited));
        try {
            Made.render(project, frame, WIDTH, Workers.shared(), () -> System.nanoTime() > end);
        } catch (CancelledException e) {
            // as it should be
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
