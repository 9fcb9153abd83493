package ivrik.bench;

import ivrik.core.cache.FrameCache;
import ivrik.core.look.BuiltInLook;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.PlaneArithmetic;
import ivrik.core.picture.Size;
import ivrik.core.render.Plan;
import ivrik.core.render.Renderer;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;

/**
 * Cost of each built-in look: a 1080p picture to screen pixels at full and half size, measured alternately
 * with copies of a plane of the same size. The cost of a step is the saving without it.
 */
public final class LookCosts {
    private static final Size FULL = new Size(1920, 1080);
    private static final int ROUNDS = 15;
    private static final int WARM = 48;

    /** Warm-up until Java has compiled the code. */
    private static final double SETTLED_SECONDS = 10;

    private LookCosts() {}

    public static void main(String[] args) {
        List<String> names = List.of(args);
        System.out.printf(
                "%-16s %9s %9s %9s %9s  %s%n",
                "look",
                "full ms",
                "copies",
                "half ms",
                "half/s",
                "parts at half size, most expensive first (ms)");
        for (BuiltInLook look : BuiltInLooks.shelf()) {
            if (names.isEmpty() || names.contains(look.look().name())) {
                report(look);
            }
        }
    }

    private static void report(BuiltInLook built) {
        Look look = built.withExampleSettings();
        double[] full = spent(look, 1, SETTLED_SECONDS);
        double[] half = spent(look, 0.5, SETTLED_SECONDS / 4);
        Map<Double, String> parts = new TreeMap<>(Comparator.reverseOrder());
        for (Step step : look.steps()) {
            double saved =
                    half[0] - spent(look.withStep(step.id(), s -> s.withOn(false)), 0.5, 0)[0];
            parts.put(saved, String.format(Locale.ROOT, "%s %.1f", step.id(), saved));
        }
        System.out.printf(
                Locale.ROOT,
                "%-16s %9.1f %9.1f %9.1f %9.0f  %s%n",
                look.name(),
                full[0],
                full[0] / full[1],
                half[0],
                1000 / half[0],
                String.join(", ", parts.values()));
    }

    /**
     * Medians in milliseconds after a warm-up in seconds: of the look, and of a copy of a plane.
     */
    private static double[] spent(Look look, double scale, double seconds) {
        Size size = FULL.scaled(scale);
        Frame picture = picture(size);
        Workers workers = Workers.shared();
        Plan plan = OneLayer.plan(picture(FULL), look);
        double[] ms = new double[ROUNDS];
        double[] copies = new double[ROUNDS];
        long settled = System.nanoTime() + (long) (seconds * 1e9);
        int i = -WARM;
        while (i < ROUNDS) {
            Renderer renderer =
                    new Renderer((p, shown) -> picture, workers, new FrameCache(1 << 28));
            long began = System.nanoTime();
            renderer.screen(plan, scale, Cancellation.NEVER);
            long between = System.nanoTime();
            PlaneArithmetic.scale(picture.colour().getFirst(), 1, workers);
            long end = System.nanoTime();
            if (i >= 0) {
                ms[i] = (between - began) / 1e6;
                copies[i] = (end - between) / 1e6;
            }
            i = i == -1 && end < settled ? i : i + 1;
        }
        return new double[] {median(ms), median(copies)};
    }

    private static double median(double[] values) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        return sorted[sorted.length / 2];
    }

    /** Lamps on a dim background, so that there are highlights. */
    private static Frame picture(Size size) {
        Plane[] planes = new Plane[3];
        for (int c = 0; c < 3; c++) {
            planes[c] = Plane.of(size.width(), size.height());
            for (int y = 0; y < size.height(); y++) {
                for (int x = 0; x < size.width(); x++) {
                    double u = 24.0 * x / size.width();
                    double v = 14.0 * y / size.height();
                    double lamp = Math.sin(u + c) * Math.sin(v);
                    planes[c].data()[y * size.width() + x] =
                            (float) (0.2 + 0.8 * Math.max(0, lamp));
                }
            }
        }
        return Frame.opaque(planes[0], planes[1], planes[2]);
    }
}
