package ivrik.bench;

import ivrik.core.cache.Store;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.picture.Frame;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.core.render.Plan;
import ivrik.core.render.Planner;
import ivrik.core.render.Renderer;
import ivrik.core.threads.Cancel;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Import;
import ivrik.media.decode.MediaPictures;
import ivrik.media.encode.Export;
import ivrik.media.encode.Form;
import ivrik.media.encode.Forms;
import ivrik.media.file.ProjectFile;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.LongStream;

/**
 * What a frame of a project costs when Java is warm: decoding, rendering and encoding, each by itself, and all of
 * it in an export, where they go on beside each other. {@code FarmCosts PROJECT}.
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
        System.out.printf("all, to FFV1 %.1f ms%n", export(project, made, Forms.FFV1, FRAMES));
        Project plain =
                Import.project(Import.source(made, "made"), BuiltInLooks.named("in-register"));
        FrameRange all = plain.allFrames();
        double read = decode(plain);
        for (Form form : List.of(Forms.FFV1, Forms.of(Path.of("a.mp4")))) {
            Path out = folder.resolve("out" + form.ending());
            System.out.printf(
                    "encode %s %.1f ms%n", form.title(), export(plain, out, form, all) - read);
            System.out.printf("  %d bytes%n", Files.size(out) / all.length());
            Files.delete(out);
        }
        Files.delete(made);
        Files.delete(folder);
    }

    /** Milliseconds a frame of the quickest round. */
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
                                    new Store(0));
                    plans.forEach(plan -> renderer.render(plan, 1, Cancel.NEVER));
                });
    }

    private static double export(Project project, Path out, Form form, FrameRange range) {
        return quickest(
                range.length(),
                () ->
                        Export.run(
                                Export.Order.of(project, out, form)
                                        .withRange(range)
                                        .withOverwrite(true),
                                Workers.shared(),
                                done -> {},
                                Cancel.NEVER));
    }
}
