package ivrik.media.encode;

import ivrik.core.cache.FrameCache;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Plane;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Layer;
import ivrik.core.project.LayerLook;
import ivrik.core.project.Project;
import ivrik.core.project.Source;
import ivrik.core.render.ChannelPicture;
import ivrik.core.render.Plan;
import ivrik.core.render.Plan.LayerPlan;
import ivrik.core.render.Planner;
import ivrik.core.render.Renderer;
import ivrik.core.separation.ChannelKind;
import ivrik.core.threads.Cancellation;
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
 * Exports the treated channels of a project before rejoin, in a folder per layer and look:
 * {@code shots/look-1/red-0012.exr} per channel and frame, or {@code shots/look-1/channels-0012.exr} with one
 * part per channel. Values are stored as floats, premultiplied by the channel's coverage.
 */
public final class ChannelExport {
    private static final long CACHE_BYTES = 256L << 20;

    private final Project project;
    private final FrameRange range;
    private final ChannelFormat format;
    private final Path folder;

    /**
     * @param project with absolute media paths
     */
    public ChannelExport(Project project, FrameRange range, ChannelFormat format, Path folder) {
        this.project = project;
        this.range = range;
        this.format = format;
        this.folder = folder;
    }

    private Path file(Layer layer, LayerLook look, ChannelKind channel, long frame) {
        return folder.resolve(layer.id())
                .resolve(look.id())
                .resolve(
                        String.format(
                                "%s-%04d%s",
                                format == ChannelFormat.LAYERS ? "channels" : channel.id(),
                                frame,
                                format.ending()));
    }

    /** All files that may be written. */
    public Set<Path> files() {
        Set<Path> files = new LinkedHashSet<>();
        for (Layer layer : project.layers()) {
            for (LayerLook look : layer.looks()) {
                for (ChannelKind channel : look.look().model().channels()) {
                    for (long n = range.first(); n <= range.last(); n++) {
                        files.add(file(layer, look, channel, n));
                    }
                }
            }
        }
        return files;
    }

    /** Files of the project's sources, which must not be overwritten. */
    public List<Path> inputs() {
        return project.sources().stream()
                .filter(s -> s.kind().isFile())
                .map(Source::path)
                .map(Path::of)
                .toList();
    }

    /**
     * Writes the files and reports the number of finished frames.
     *
     * @param scale relative to the sequence's size, greater than 0
     * @throws ivrik.core.threads.CancelledException if cancelled
     */
    public void write(double scale, Workers workers, LongConsumer done, Cancellation cancel) {
        FrameCache cache = new FrameCache(CACHE_BYTES);
        Planner planner = new Planner(project);
        try (MediaPictures pictures = new MediaPictures(workers, cache)) {
            Renderer renderer = new Renderer(pictures, workers, cache);
            for (long n = range.first(); n <= range.last(); n++) {
                Plan plan = planner.plan(n);
                for (LayerPlan layer : plan.layers()) {
                    Layer of = project.layer(layer.id()).orElseThrow();
                    for (int look = 0; look < of.looks().size(); look++) {
                        List<Plane> channels = renderer.channels(plan, layer, look, scale, cancel);
                        write(of, layer, look, channels, n, workers);
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
            List<Plane> channels,
            long frame,
            Workers workers) {
        LayerLook look = layer.looks().get(number);
        List<ChannelKind> kinds = look.look().model().channels();
        Path first = file(layer, look, kinds.getFirst(), frame);
        try {
            Files.createDirectories(first.getParent());
        } catch (IOException e) {
            throw SafeFile.fault(first, e);
        }
        if (format == ChannelFormat.LAYERS) {
            List<String> names = kinds.stream().map(ChannelKind::id).toList();
            StillWriter.writePlanes(names, channels, first, workers);
            return;
        }
        for (int channel = 0; channel < kinds.size(); channel++) {
            ChannelKind kind = kinds.get(channel);
            Path file = file(layer, look, kind, frame);
            Plane plane = channels.get(channel);
            switch (format) {
                case GREYS ->
                        StillWriter.write(
                                ChannelPicture.grey(plane, kind, workers),
                                file,
                                Depth.INT16,
                                workers);
                case INKED ->
                        StillWriter.write(
                                ChannelPicture.inked(
                                        plane,
                                        kind,
                                        planned.looks().get(number).ink(channel),
                                        workers),
                                file,
                                Depth.INT16,
                                workers);
                default -> StillWriter.writePlane(plane, file, workers);
            }
        }
    }
}
