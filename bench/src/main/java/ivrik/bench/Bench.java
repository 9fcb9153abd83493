package ivrik.bench;

import static org.bytedeco.opencv.global.opencv_core.*;
import static org.bytedeco.opencv.global.opencv_imgproc.*;

import ivrik.core.cache.FrameCache;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.rejoin.Blend;
import ivrik.core.rejoin.Composite;
import ivrik.core.render.Plan;
import ivrik.core.render.Renderer;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Resample;
import ivrik.core.sampling.Sampler;
import ivrik.core.separation.Rgb;
import ivrik.core.separation.Separation;
import ivrik.core.separation.Separations;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.Context;
import ivrik.core.treatment.Settings;
import ivrik.core.treatment.Shift;

import org.bytedeco.javacpp.FloatPointer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.bytedeco.opencv.opencv_core.Scalar;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;

/**
 * Prints the table of ratios: {@code bench/run [--quick] [--only WORDS] [--json FILE]}. With {@code --quick}
 * rows without a limit are skipped.
 */
public final class Bench {
    private static final int WIDTH = 1920;
    private static final int HEIGHT = 1080;
    private static final int THREADS = 2;
    private static final String LOOK = "shift, lens, Gaussian 8 and grain";

    private final Workers workers = new Workers(THREADS);
    private final Plane red = noise(1);
    private final Plane green = noise(2);
    private final Plane blue = noise(3);

    /**
     * Warm-up until Java vectorises the sampling of arbitrary positions, if few rows run before.
     */
    private static final double SETTLED_SECONDS = 12;

    private Bench() {}

    public static void main(String[] args) throws IOException {
        List<String> words = List.of(args);
        boolean quick = words.contains("--quick");
        setNumThreads(THREADS);
        List<Duel.Result> results = new ArrayList<>();
        System.out.printf(
                "%-44s %10s %12s %8s %8s%n",
                "planes of 1920x1080, two threads each",
                "ivrik ms",
                "reference ms",
                "ratio",
                "limit");
        int only = words.indexOf("--only");
        List<Duel> duels =
                new Bench()
                        .duels().stream()
                                .filter(d -> only < 0 || d.name().contains(words.get(only + 1)))
                                .filter(d -> !quick || d.isLimited() || d.name().startsWith(LOOK))
                                .toList();
        double each = Math.max(quick ? 0.6 : 1, SETTLED_SECONDS / duels.size());
        duels.forEach(d -> d.warmUp(each));
        for (Duel duel : duels) {
            duel.warmUp(quick ? 0.4 : 1);
            Duel.Result r = duel.run(quick ? 0.5 : 6);
            results.add(r);
            System.out.printf(
                    Locale.ROOT,
                    "%-44s %10.2f %12.2f %8.2f %8s %s%n",
                    r.name(),
                    r.ivrikMs(),
                    r.referenceMs(),
                    r.ratio(),
                    Double.isNaN(r.limit()) ? "-" : Double.toString(r.limit()),
                    r.isWithinLimit() ? "" : "over");
        }
        int json = words.indexOf("--json");
        if (json >= 0) {
            Files.writeString(Path.of(words.get(json + 1)), json(results));
        }
        System.exit(results.stream().allMatch(Duel.Result::isWithinLimit) ? 0 : 1);
    }

    private List<Duel> duels() {
        List<Duel> duels = new ArrayList<>(shifts());
        duels.addAll(new TreatmentDuels(red, workers).all(copy()));
        for (double scale : new double[] {1, 0.5}) {
            duels.add(
                    new Duel(
                            LOOK + " to screen, size " + scale + " / copy of one plane",
                            treated(scale),
                            copy(),
                            Double.NaN));
        }
        duels.addAll(new CacheDuels(Frame.opaque(red, green, blue), workers).all());
        for (String model : List.of("rgb", "ycbcr-709", "oklab", "cmyk", "lab", "xyz")) {
            duels.add(
                    new Duel(
                            model + " and rejoin / copy of three planes into new ones",
                            roundTrip(Separations.named(model)),
                            copyNew(),
                            model.startsWith("ycbcr") || model.equals("rgb") ? 4 : Double.NaN));
        }
        for (Blend blend : List.of(Blend.SCREEN, Blend.SOFT_LIGHT, Blend.LUMINOSITY)) {
            duels.add(
                    new Duel(
                            "two frames blended, " + blend.id() + " / the same",
                            blend(blend),
                            copyNew(),
                            Double.NaN));
        }
        return duels;
    }

    private List<Duel> shifts() {
        return List.of(
                new Duel(
                        "sub-pixel shift, linear / affine warp",
                        shift(Sampler.LINEAR),
                        affine(INTER_LINEAR),
                        0.5),
                new Duel(
                        "sub-pixel shift, cubic / affine warp, cubic",
                        shift(Sampler.CUBIC),
                        affine(INTER_CUBIC),
                        Double.NaN),
                new Duel("RGB split to screen / copy of one plane", split(3.37, -2.5), copy(), 12),
                new Duel("RGB split, whole pixels / copy of one plane", split(5, -3), copy(), 12));
    }

    private static Plane noise(long seed) {
        Random random = new Random(seed);
        float[] samples = new float[WIDTH * HEIGHT];
        for (int i = 0; i < samples.length; i++) {
            samples[i] = random.nextFloat();
        }
        return Plane.of(WIDTH, HEIGHT, samples);
    }

    private Runnable shift(Sampler sampler) {
        Shift shift = new Shift();
        Context context =
                new Context(1, new Rgb().channels().getFirst(), Optional.empty(), workers);
        Settings settings = new Settings(Map.of("x", 3.37, "y", -1.62), EdgeFill.REPEAT, sampler);
        return () -> shift.apply(red, settings, context).toPlane(workers);
    }

    private Runnable affine(int interpolation) {
        Mat in = new Mat(HEIGHT, WIDTH, CV_32FC1);
        new FloatPointer(in.data()).put(red.data());
        Mat out = new Mat(HEIGHT, WIDTH, CV_32FC1);
        Mat move = new Mat(2, 3, CV_32FC1);
        new FloatPointer(move.data()).put(1f, 0f, 3.37f, 0f, 1f, -1.62f);
        return () ->
                warpAffine(
                        in, out, move, out.size(), interpolation, BORDER_REPLICATE, new Scalar());
    }

    /** From planes to screen pixels: all three channels shifted, rejoined, packed. */
    private Runnable split(double x, double y) {
        Frame frame = Frame.opaque(red, green, blue);
        Plan plan =
                OneLayer.plan(
                        frame,
                        BuiltInLooks.named("rgb-split")
                                .withDial("red-x", x)
                                .withDial("green-y", y)
                                .withDial("blue-x", -x)
                                .withDial("blue-y", y));
        Renderer renderer = new Renderer((p, s) -> frame, workers, new FrameCache(0));
        return () -> renderer.screen(plan, 1, Cancellation.NEVER);
    }

    /** Four treatments on each of three channels, from planes to screen pixels. */
    private Runnable treated(double scale) {
        Frame full = Frame.opaque(red, green, blue);
        Frame frame = Resample.to(full, full.size().scaled(scale), workers);
        Plan plan = OneLayer.plan(full, OneLayer.four());
        Renderer renderer = new Renderer((p, s) -> frame, workers, new FrameCache(0));
        return () -> renderer.screen(plan, scale, Cancellation.NEVER);
    }

    /** Separates and rejoins row by row, as the renderer does. */
    private Runnable roundTrip(Separation model) {
        Frame frame = Frame.opaque(red, green, blue);
        Plan plan = OneLayer.plan(frame, Look.atRest("rest", model));
        Renderer renderer = new Renderer((p, s) -> frame, workers, new FrameCache(0));
        return () -> renderer.rejoined(plan, plan.layers().getFirst(), 0, 1, Cancellation.NEVER);
    }

    private Runnable blend(Blend mode) {
        Frame under = Frame.opaque(red, green, blue);
        Frame over = Frame.opaque(green, blue, red);
        return () -> Composite.of(under, over, mode, 1, workers);
    }

    private Runnable copy() {
        float[] to = new float[WIDTH * HEIGHT];
        return () -> copy(red.data(), to);
    }

    /** Copies to new planes, as treatments that allocate do. */
    private Runnable copyNew() {
        return () -> {
            for (Plane from : List.of(red, green, blue)) {
                copy(from.data(), new float[WIDTH * HEIGHT]);
            }
        };
    }

    private void copy(float[] from, float[] to) {
        workers.rows(
                HEIGHT,
                (first, end) ->
                        System.arraycopy(
                                from, first * WIDTH, to, first * WIDTH, (end - first) * WIDTH));
    }

    private static String json(List<Duel.Result> results) {
        StringBuilder rows = new StringBuilder();
        for (Duel.Result r : results) {
            rows.append(rows.isEmpty() ? "[\n" : ",\n")
                    .append(
                            String.format(
                                    Locale.ROOT,
                                    "  {\"name\": \"%s\", \"ivrik_ms\": %.3f, \"reference_ms\":"
                                            + " %.3f, \"ratio\": %.3f, \"limit\": %s}",
                                    r.name(),
                                    r.ivrikMs(),
                                    r.referenceMs(),
                                    r.ratio(),
                                    Double.isNaN(r.limit()) ? "null" : Double.toString(r.limit())));
        }
        return rows.append("\n]\n").toString();
    }
}
