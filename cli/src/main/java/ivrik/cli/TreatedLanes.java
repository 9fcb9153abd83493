package ivrik.cli;

import ivrik.core.cache.Store;
import ivrik.core.picture.Plane;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Layer;
import ivrik.core.project.LayerLook;
import ivrik.core.project.Project;
import ivrik.core.render.Plan;
import ivrik.core.render.Plan.LayerPlan;
import ivrik.core.render.Planner;
import ivrik.core.render.Renderer;
import ivrik.core.separation.LaneKind;
import ivrik.core.threads.Cancel;
import ivrik.core.threads.Workers;
import ivrik.media.decode.MediaPictures;
import ivrik.media.encode.StillWriter;
import ivrik.media.file.SafeFile;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.LongConsumer;

/**
 * The treated lanes of a project as files, before they are rejoined: one 32-bit float OpenEXR for each
 * lane and frame, in a folder for each layer and look, such as {@code shots/look-1/red-0012.exr}. Values
 * are as they are; where a lane has coverage, multiplied by it.
 */
final class TreatedLanes {
    private static final long CACHE_BYTES = 256L << 20;

    private final Project project;
    private final FrameRange range;
    private final Path folder;

    TreatedLanes(Project project, FrameRange range, Path folder) {
        this.project = project;
        this.range = range;
        this.folder = folder;
    }

    private Path file(Layer layer, LayerLook look, LaneKind lane, long frame) {
        return folder.resolve(layer.id())
                .resolve(look.id())
                .resolve(String.format("%s-%04d.exr", lane.id(), frame));
    }

    /** All files that may be written. */
    List<Path> files() {
        List<Path> files = new ArrayList<>();
        for (Layer layer : project.layers()) {
            for (LayerLook look : layer.looks()) {
                for (LaneKind lane : look.look().model().lanes()) {
                    for (long n = range.first(); n <= range.last(); n++) {
                        files.add(file(layer, look, lane, n));
                    }
                }
            }
        }
        return files;
    }

    /** Writes them, and says how many frames are done after each. */
    void write(double scale, Workers workers, LongConsumer done) {
        Store store = new Store(CACHE_BYTES);
        Planner planner = new Planner(project);
        try (MediaPictures pictures = new MediaPictures(workers, store)) {
            Renderer renderer = new Renderer(pictures, workers, store);
            for (long n = range.first(); n <= range.last(); n++) {
                Plan plan = planner.plan(n);
                for (LayerPlan layer : plan.layers()) {
                    write(renderer, plan, layer, n, scale, workers);
                }
                done.accept(n - range.first() + 1);
            }
        }
    }

    private void write(
            Renderer renderer,
            Plan plan,
            LayerPlan planned,
            long frame,
            double scale,
            Workers workers) {
        Layer layer = project.layer(planned.id()).orElseThrow();
        for (int number = 0; number < layer.looks().size(); number++) {
            LayerLook look = layer.looks().get(number);
            List<LaneKind> kinds = look.look().model().lanes();
            List<Plane> lanes = renderer.lanes(plan, planned, number, scale, Cancel.NEVER);
            for (int lane = 0; lane < kinds.size(); lane++) {
                Path file = file(layer, look, kinds.get(lane), frame);
                try {
                    Files.createDirectories(file.getParent());
                } catch (IOException e) {
                    throw SafeFile.fault(file, e);
                }
                StillWriter.writePlane(lanes.get(lane), file, workers);
            }
        }
    }
}
