package ivrik.media.encode;

import ivrik.core.cache.Store;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Plane;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Layer;
import ivrik.core.project.LayerLook;
import ivrik.core.project.Project;
import ivrik.core.project.Source;
import ivrik.core.render.LanePicture;
import ivrik.core.render.Plan;
import ivrik.core.render.Plan.LayerPlan;
import ivrik.core.render.Planner;
import ivrik.core.render.Renderer;
import ivrik.core.separation.LaneKind;
import ivrik.core.threads.Cancel;
import ivrik.core.threads.Workers;
import ivrik.media.decode.MediaPictures;
import ivrik.media.file.SafeFile;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.LongConsumer;

/**
 * The treated lanes of a project as files, before they are rejoined, in a folder for each layer and look:
 * {@code shots/look-1/red-0012.exr} for each lane and frame, or {@code shots/look-1/lanes-0012.exr} with a part for each
 * lane. Floats are the values as they are; where a lane has coverage, multiplied by it.
 */
public final class LaneExport {
    private static final long CACHE_BYTES = 256L << 20;

    private final Project project;
    private final FrameRange range;
    private final LaneForm form;
    private final Path folder;

    /**
     * @param project with whole media paths
     */
    public LaneExport(Project project, FrameRange range, LaneForm form, Path folder) {
        this.project = project;
        this.range = range;
        this.form = form;
        this.folder = folder;
    }

    private Path file(Layer layer, LayerLook look, LaneKind lane, long frame) {
        return folder.resolve(layer.id())
                .resolve(look.id())
                .resolve(
                        String.format(
                                "%s-%04d%s",
                                form == LaneForm.LAYERS ? "lanes" : lane.id(),
                                frame,
                                form.ending()));
    }

    /** All files that may be written. */
    public Set<Path> files() {
        Set<Path> files = new LinkedHashSet<>();
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

    /** The files of the project's sources, which must not be written over. */
    public List<Path> inputs() {
        return project.sources().stream()
                .filter(s -> s.kind().isFile())
                .map(Source::path)
                .map(Path::of)
                .toList();
    }

    /**
     * Writes them, and says how many frames are done after each.
     *
     * @param scale of the sequence's size, over 0
     * @throws ivrik.core.threads.CancelledException when {@code cancel} says so
     */
    public void write(double scale, Workers workers, LongConsumer done, Cancel cancel) {
        Store store = new Store(CACHE_BYTES);
        Planner planner = new Planner(project);
        try (MediaPictures pictures = new MediaPictures(workers, store)) {
            Renderer renderer = new Renderer(pictures, workers, store);
            for (long n = range.first(); n <= range.last(); n++) {
                Plan plan = planner.plan(n);
                for (LayerPlan layer : plan.layers()) {
                    Layer of = project.layer(layer.id()).orElseThrow();
                    for (int look = 0; look < of.looks().size(); look++) {
                        List<Plane> lanes = renderer.lanes(plan, layer, look, scale, cancel);
                        write(of, layer, look, lanes, n, workers);
                    }
                }
                done.accept(n - range.first() + 1);
            }
        }
    }

    private void write(
            Layer layer,
            LayerPlan planned,
            int number,
            List<Plane> lanes,
            long frame,
            Workers workers) {
        LayerLook look = layer.looks().get(number);
        List<LaneKind> kinds = look.look().model().lanes();
        Path first = file(layer, look, kinds.getFirst(), frame);
        try {
            Files.createDirectories(first.getParent());
        } catch (IOException e) {
            throw SafeFile.fault(first, e);
        }
        if (form == LaneForm.LAYERS) {
            List<String> names = kinds.stream().map(LaneKind::id).toList();
            StillWriter.writePlanes(names, lanes, first, workers);
            return;
        }
        for (int lane = 0; lane < kinds.size(); lane++) {
            LaneKind kind = kinds.get(lane);
            Path file = file(layer, look, kind, frame);
            Plane plane = lanes.get(lane);
            switch (form) {
                case GREYS ->
                        StillWriter.write(
                                LanePicture.grey(plane, kind, workers), file, Depth.INT16, workers);
                case INKED ->
                        StillWriter.write(
                                LanePicture.inked(
                                        plane,
                                        kind,
                                        planned.looks().get(number).ink(lane),
                                        workers),
                                file,
                                Depth.INT16,
                                workers);
                default -> StillWriter.writePlane(plane, file, workers);
            }
        }
    }
}
