package ivrik.media.encode;

import ivrik.core.cache.Store;
import ivrik.core.colour.ColourSpace;
import ivrik.core.colour.Conversion;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.core.project.Source;
import ivrik.core.render.Dither;
import ivrik.core.render.Plan;
import ivrik.core.render.Planner;
import ivrik.core.render.Renderer;
import ivrik.core.threads.Cancel;
import ivrik.core.threads.Workers;
import ivrik.media.MissingFileException;
import ivrik.media.UnwritableTargetException;
import ivrik.media.decode.Footage;
import ivrik.media.decode.MediaPictures;
import ivrik.media.decode.NumberedSequence;
import ivrik.media.sound.SoundMix;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.LongConsumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A range of a project written as a still, a numbered sequence or a movie with sound. */
public final class Export {
    private static final long CACHE_BYTES = 256L << 20;

    private Export() {}

    /**
     * What to write.
     *
     * @param project with whole media paths
     * @param out a file, or the pattern of a numbered sequence
     * @param sampling one of those that the form has
     * @param scale of the sequence's size, over 0
     * @param odd what is done where the form has no odd sizes
     * @param dither whether colour is dithered when it leaves to 8 bit; a frame in which nothing was
     *     changed never is
     * @param sound whether a movie gets the sound of the clips
     * @param overwrite whether files that are there already may be replaced
     * @param kept files besides the project's media that must not be written over
     */
    public record Order(
            Project project,
            Path out,
            FrameRange range,
            Form form,
            Quality quality,
            Sampling sampling,
            double scale,
            Odd odd,
            boolean dither,
            boolean sound,
            boolean overwrite,
            List<Path> kept) {
        /** All of a project, in full size and good quality, with its sound; nothing is replaced. */
        public static Order of(Project project, Path out, Form form) {
            return new Order(
                    project,
                    out,
                    project.allFrames(),
                    form,
                    Quality.GOOD,
                    form.samplings().getFirst(),
                    1,
                    Odd.PAD,
                    false,
                    true,
                    false,
                    List.of());
        }

        public Order withRange(FrameRange r) {
            return with(r, quality, sampling, scale, odd, dither, sound, overwrite, kept);
        }

        public Order withQuality(Quality q) {
            return with(range, q, sampling, scale, odd, dither, sound, overwrite, kept);
        }

        public Order withSampling(Sampling s) {
            return with(range, quality, s, scale, odd, dither, sound, overwrite, kept);
        }

        public Order withScale(double s) {
            return with(range, quality, sampling, s, odd, dither, sound, overwrite, kept);
        }

        public Order withOdd(Odd o) {
            return with(range, quality, sampling, scale, o, dither, sound, overwrite, kept);
        }

        public Order withDither(boolean d) {
            return with(range, quality, sampling, scale, odd, d, sound, overwrite, kept);
        }

        public Order withSound(boolean s) {
            return with(range, quality, sampling, scale, odd, dither, s, overwrite, kept);
        }

        public Order withOverwrite(boolean o) {
            return with(range, quality, sampling, scale, odd, dither, sound, o, kept);
        }

        public Order withKept(List<Path> k) {
            return with(range, quality, sampling, scale, odd, dither, sound, overwrite, k);
        }

        private Order with(
                FrameRange r,
                Quality q,
                Sampling c,
                double s,
                Odd o,
                boolean d,
                boolean a,
                boolean w,
                List<Path> k) {
            return new Order(project, out, r, form, q, c, s, o, d, a, w, k);
        }

        /** Everything that is read for it. */
        private List<Path> inputs() {
            return Stream.concat(kept.stream(), files(project).stream().map(s -> Path.of(s.path())))
                    .toList();
        }
    }

    /**
     * Writes it, and says how many frames are done after each. A movie that is cancelled or fails
     * leaves nothing under its name; of a numbered sequence the frames already written stay.
     *
     * @return what is not as one would expect, in words for the user; often nothing
     * @throws ivrik.media.TargetExistsException if a file is there and may not be replaced
     * @throws ivrik.core.threads.CancelledException when {@code cancel} says so
     * @throws ivrik.core.IvrikException what could not be read or written
     */
    public static List<String> run(Order order, Workers workers, LongConsumer done, Cancel cancel) {
        check(order);
        List<String> words = new ArrayList<>();
        Store store = new Store(CACHE_BYTES);
        try (MediaPictures pictures = new MediaPictures(workers, store)) {
            Renderer renderer = new Renderer(pictures, workers, store);
            Planner planner = new Planner(order.project());
            Frames frames =
                    new Frames(order, planner, renderer, depth(order, workers), workers, cancel);
            ColourSpace space = order.project().sequence().colour();
            if (!order.form().carries(space)) {
                words.add(
                        order.form().title()
                                + " does not carry "
                                + space.title()
                                + ": its colours are brought to BT.709 and sRGB");
            }
            if (order.form().isMovie()) {
                movie(frames, done, words);
            } else {
                stills(frames, done);
            }
        }
        return List.copyOf(words);
    }

    private static void check(Order order) {
        for (Source source : files(order.project())) {
            boolean used =
                    order.project().layers().stream()
                            .flatMap(l -> l.clips().stream())
                            .anyMatch(c -> c.source().equals(source.id()));
            Path path = Path.of(source.path());
            if (used && !NumberedSequence.isPattern(path) && !Files.exists(path)) {
                throw new MissingFileException(path.toString());
            }
        }
        if (!order.form().samplings().contains(order.sampling())) {
            throw new UnwritableTargetException(
                    order.form().title() + " does not keep colour " + order.sampling().title(),
                    "choose "
                            + order.form().samplings().stream()
                                    .map(Sampling::id)
                                    .collect(Collectors.joining(" or ")),
                    null);
        }
        if (!order.form().isMovie()
                && order.range().length() > 1
                && !NumberedSequence.isPattern(order.out())) {
            throw new UnwritableTargetException(
                    "one "
                            + order.form().title()
                            + " file cannot hold "
                            + order.range().length()
                            + " frames",
                    "put %04d into its name for a numbered sequence, or choose one frame",
                    null);
        }
        List<Path> existing = OutputFiles.existing(order.out(), order.range());
        OutputFiles.protect(existing, order.inputs());
        if (!order.overwrite()) {
            OutputFiles.refuse(existing);
        }
    }

    private static List<Source> files(Project project) {
        return project.sources().stream().filter(s -> s.kind().isFile()).toList();
    }

    /** Renders the frames of an order, dithered if it says so. */
    private record Frames(
            Order order,
            Planner planner,
            Renderer renderer,
            Depth depth,
            Workers workers,
            Cancel cancel) {
        Frame frame(long n) {
            cancel.check();
            Plan plan = planner.plan(n);
            Frame frame = carried(renderer.render(plan, order.scale(), cancel));
            boolean changed = !plan.layers().stream().allMatch(Plan.LayerPlan::isNeutral);
            return order.dither() && depth == Depth.INT8 && changed
                    ? Dither.of(frame, depth, n, workers)
                    : frame;
        }

        /** In colours that the form can write down. */
        private Frame carried(Frame frame) {
            ColourSpace space = order.project().sequence().colour();
            return order.form().carries(space)
                    ? frame
                    : Conversion.of(space.primaries(), space.transfer(), ColourSpace.SRGB)
                            .apply(frame, workers);
        }
    }

    private static ColourSpace written(Order order) {
        ColourSpace space = order.project().sequence().colour();
        return order.form().carries(space) ? space : ColourSpace.SRGB;
    }

    private static void stills(Frames frames, LongConsumer done) {
        Order order = frames.order();
        for (long n = order.range().first(); n <= order.range().last(); n++) {
            Path out = NumberedSequence.numbered(order.out(), n);
            StillWriter.write(
                    frames.frame(n), out, frames.depth(), written(order), frames.workers());
            done.accept(n - order.range().first() + 1);
        }
    }

    private static void movie(Frames frames, LongConsumer done, List<String> words) {
        Order order = frames.order();
        Form form = order.form();
        Frame first = frames.frame(order.range().first());
        boolean sound = order.sound() && SoundMix.hasSound(order.project());
        var options =
                new MovieWriter.Options(
                        form,
                        order.quality(),
                        order.sampling(),
                        frames.depth(),
                        !first.isOpaque(),
                        order.project().sequence().size().scaled(order.scale()),
                        order.odd(),
                        order.project().sequence().rate(),
                        written(order),
                        sound);
        if (!first.isOpaque() && !form.keepsAlpha(order.sampling())) {
            words.add(
                    form.title()
                            + " has no alpha"
                            + (order.sampling() == Sampling.FULL && form.hasQuality()
                                    ? " with whole colour"
                                    : "")
                            + ": the picture is laid on black");
        }
        if (!options.written().equals(options.size())) {
            words.add(
                    form.title()
                            + " has no odd sizes: of "
                            + options.size()
                            + " "
                            + order.odd().word());
        }
        try (MovieWriter writer = new MovieWriter(order.out(), options, frames.workers());
                SoundMix mix = new SoundMix(order.project())) {
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

    /** The deepest of the sources (more for what holds more than white), so that untouched pictures leave as they came; floats as 16 bit. */
    private static Depth depth(Order order, Workers workers) {
        Depth deepest = written(order).isHighRange() ? Depth.INT16 : Depth.INT8;
        for (Source source : files(order.project())) {
            try (Footage footage =
                    Footage.open(Path.of(source.path()), source.reading(), workers)) {
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
