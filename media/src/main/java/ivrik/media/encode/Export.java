package ivrik.media.encode;

import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;
import ivrik.core.picture.Workers;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.core.project.Source;
import ivrik.core.render.Cancel;
import ivrik.core.render.Dither;
import ivrik.core.render.Plan;
import ivrik.core.render.Planner;
import ivrik.core.render.Renderer;
import ivrik.media.MissingFileException;
import ivrik.media.UnwritableTargetException;
import ivrik.media.decode.Footage;
import ivrik.media.decode.MediaPictures;
import ivrik.media.decode.NumberedSequence;
import ivrik.media.sound.SoundMix;

import java.nio.file.Path;
import java.util.List;
import java.util.function.LongConsumer;

/** A range of a project written as a still, a numbered sequence or a movie with sound. */
public final class Export {
    private static final long CACHE_BYTES = 256L << 20;

    private Export() {}

    /**
     * What to write.
     *
     * @param folder what the project's media paths are relative to
     * @param scale of the sequence's size, over 0
     * @param dither whether colour is dithered when it leaves to 8 bit; a frame in which nothing was
     *     changed never is
     */
    public record Order(
            Project project,
            Path folder,
            FrameRange range,
            Form form,
            Quality quality,
            double scale,
            boolean dither,
            Path out) {}

    /**
     * Writes it, and says how many frames are done after each. A movie that is cancelled or fails
     * leaves nothing under its name; of a numbered sequence the frames already written stay.
     *
     * @throws ivrik.core.picture.CancelledException when {@code cancel} says so
     * @throws ivrik.core.IvrikException what could not be read or written
     */
    public static void run(Order order, Workers workers, LongConsumer done, Cancel cancel) {
        check(order);
        try (MediaPictures pictures = new MediaPictures(order.folder(), workers)) {
            Renderer renderer = new Renderer(pictures, workers, CACHE_BYTES);
            Frames frames = new Frames(order, renderer, depth(order, workers), workers, cancel);
            if (order.form().isMovie()) {
                movie(frames, done);
            } else {
                stills(frames, done);
            }
        }
    }

    private static void check(Order order) {
        for (Source source : files(order.project())) {
            boolean used =
                    order.project().layers().stream()
                            .flatMap(l -> l.clips().stream())
                            .anyMatch(c -> c.source().equals(source.id()));
            Path path = order.folder().resolve(source.path());
            if (used && !NumberedSequence.isPattern(path) && !java.nio.file.Files.exists(path)) {
                throw new MissingFileException(path.toString());
            }
        }
        if (!order.form().isMovie()
                && order.range().length() > 1
                && !NumberedSequence.isPattern(order.out())) {
            throw new UnwritableTargetException(
                    "one "
                            + order.form()
                            + " file cannot hold "
                            + order.range().length()
                            + " frames",
                    "put %04d into its name for a numbered sequence, or choose one frame",
                    null);
        }
    }

    private static List<Source> files(Project project) {
        return project.sources().stream().filter(s -> s.kind().isFile()).toList();
    }

    /** Renders the frames of an order, dithered if it says so. */
    private record Frames(
            Order order, Renderer renderer, Depth depth, Workers workers, Cancel cancel) {
        Frame frame(long n) {
            cancel.check();
            Plan plan = Planner.plan(order.project(), n);
            Frame frame = renderer.render(plan, order.scale(), cancel);
            boolean changed = !plan.layers().stream().allMatch(Plan.LayerPlan::isNeutral);
            return order.dither() && depth == Depth.INT8 && changed
                    ? Dither.of(frame, depth, n, workers)
                    : frame;
        }
    }

    private static void stills(Frames frames, LongConsumer done) {
        Order order = frames.order();
        for (long n = order.range().first(); n <= order.range().last(); n++) {
            Path out = NumberedSequence.numbered(order.out(), n);
            StillWriter.write(frames.frame(n), out, frames.depth(), frames.workers());
            done.accept(n - order.range().first() + 1);
        }
    }

    private static void movie(Frames frames, LongConsumer done) {
        Order order = frames.order();
        Frame first = frames.frame(order.range().first());
        boolean sound = SoundMix.hasSound(order.project());
        Size size = order.project().sequence().size().scaled(order.scale());
        var options =
                new MovieWriter.Options(
                        order.form(),
                        order.quality(),
                        frames.depth(),
                        !first.isOpaque() && order.form().keepsAlpha(),
                        size,
                        order.project().sequence().rate(),
                        sound);
        try (MovieWriter writer = new MovieWriter(order.out(), options, frames.workers());
                SoundMix mix = new SoundMix(order.project(), order.folder())) {
            for (long n = order.range().first(); n <= order.range().last(); n++) {
                writer.picture(frames.frame(n));
                if (sound) {
                    writer.sound(mix.frame(n));
                }
                done.accept(n - order.range().first() + 1);
            }
            writer.finish();
        }
    }

    /** The deepest of the sources, so that untouched pictures leave as they came; floats as 16 bit. */
    private static Depth depth(Order order, Workers workers) {
        Depth deepest = Depth.INT8;
        for (Source source : files(order.project())) {
            try (Footage footage = Footage.open(order.folder().resolve(source.path()), workers)) {
                if (footage.depth().bits() > deepest.bits()) {
                    deepest = footage.depth();
                }
            } catch (MissingFileException e) {
                continue; // not used: what is used was checked before
            }
        }
        return deepest.isInteger() ? deepest : Depth.INT16;
    }
}
