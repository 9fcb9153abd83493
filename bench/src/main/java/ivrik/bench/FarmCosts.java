package ivrik.bench;

import ivrik.core.cache.FrameCache;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.picture.Frame;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.core.render.Plan;
import ivrik.core.render.Planner;
import ivrik.core.render.Renderer;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Import;
import ivrik.media.decode.MediaPictures;
import ivrik.media.encode.Export;
import ivrik.media.encode.ExportFormat;
import ivrik.media.encode.ExportFormats;
import ivrik.media.file.ProjectFile;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.LongStream;

/**
 * Cost per frame of a project with warm Java: decoding, rendering and encoding separately, and the export,
 * where they overlap. {@code FarmCosts PROJECT}.
 */
final class FarmCosts {
    private static final FrameRange FRAMES = new FrameRange(80, 103);
    private static final int ROUNDS = 4;

    private FarmCosts() {}

    public static void main(String[] args) throws IOException {
        Project project = ProjectFile.open(Path.of(args[0])).project();
        Path folder = Files.createTempDirectory("ivrik-costs");
        Path made = folder.resolve("made.mkv");
        System.out.printf("decode %.1f ms a frame%n", decode(project));
        System.out.printf("render %.1f ms%n", render(project));
        System.out.printf(
                "all, to FFV1 %.1f ms%n", export(project, made, ExportFormats.FFV1, FRAMES));
        Project plain = Import.project(Import.source(made, "made"), BuiltInLooks.named("neutral"));
        FrameRange all = plain.allFrames();
        double read = decode(plain);
        for (ExportFormat format :
                List.of(ExportFormats.FFV1, ExportFormats.of(Path.of("a.mp4")))) {
            Path out = folder.resolve("out" + format.ending());
            System.out.printf(
                    "encode %s %.1f ms%n", format.title(), export(plain, out, format, all) - read);
            System.out.printf("  %d bytes%n", Files.size(out) / all.length());
            Files.delete(out);
        }
        Files.delete(made);
        Files.delete(folder);
    }

    /** Milliseconds per frame of the fastest round. */
    private static double quickest(long frames, Runnable round) {
        return LongStream.range(0, ROUNDS)
                        .map(
                                n -> {
                                    long start = System.nanoTime();
                                    round.run();
                                    return System.nanoTime() - start;
                                })
                        .min()
                        .orElseThrow()
                / 1e6
                / frames;
    }

    private static FrameRange range(Project project) {
        FrameRange all = project.allFrames();
        return all.last() < FRAMES.last() ? all : FRAMES;
    }

    private static List<Plan> plans(Project project) {
        Planner planner = new Planner(project);
        FrameRange range = range(project);
        return LongStream.rangeClosed(range.first(), range.last()).mapToObj(planner::plan).toList();
    }

    private static double decode(Project project) {
        List<Plan> plans = plans(project);
        return quickest(
                plans.size(),
                () -> {
                    try (MediaPictures media = new MediaPictures(Workers.shared())) {
                        plans.forEach(
                                plan ->
                                        plan.pictures()
                                                .forEach(p -> media.frame(p, p.source().size())));
                    }
                });
    }

    private static double render(Project project) {
        List<Plan> plans = plans(project);
        Map<Plan.Picture, Frame> decoded = new HashMap<>();
        try (MediaPictures media = new MediaPictures(Workers.shared())) {
            plans.forEach(
                    plan ->
                            plan.pictures()
                                    .forEach(
                                            p ->
                                                    decoded.computeIfAbsent(
                                                            p,
                                                            x ->
                                                                    media.frame(
                                                                            x,
                                                                            x.source().size()))));
        }
        return quickest(
                plans.size(),
                () -> {
                    Renderer renderer =
                            new Renderer(
                                    (picture, shown) -> decoded.get(picture),
                                    Workers.shared(),
                                    new FrameCache(0));
                    plans.forEach(plan -> renderer.render(plan, 1, Cancellation.NEVER));
                });
    }

    private static double export(Project project, Path out, ExportFormat format, FrameRange range) {
        return quickest(
                range.length(),
                () ->
                        Export.run(
                                Export.Order.of(project, out, format)
                                        .withRange(range)
                                        .withOverwrite(true),
                                Workers.shared(),
                                done -> {},
                                Cancellation.NEVER));
    }
}
