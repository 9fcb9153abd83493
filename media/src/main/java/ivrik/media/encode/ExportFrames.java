package ivrik.media.encode;

import ivrik.core.cache.Store;
import ivrik.core.colour.ColourSpace;
import ivrik.core.colour.Conversion;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.project.Source;
import ivrik.core.render.OutputDither;
import ivrik.core.render.Plan;
import ivrik.core.render.Planner;
import ivrik.core.render.Renderer;
import ivrik.core.threads.Cancel;
import ivrik.core.threads.Workers;
import ivrik.media.MissingFileException;
import ivrik.media.decode.Footage;
import ivrik.media.decode.MediaPictures;
import ivrik.media.sound.SoundMix;

import org.bytedeco.ffmpeg.avutil.AVFrame;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiConsumer;

/**
 * The frames of an order as they leave: in colours that its form can write down, dithered if it says so.
 *
 * @param depth of the samples that are written, where the form has a choice
 */
record ExportFrames(
        Export.Order order,
        Planner planner,
        Renderer renderer,
        Depth depth,
        Workers workers,
        Cancel cancel) {
    private static final long CACHE_BYTES = 256L << 20;

    /**
     * Makes something of the frames of an order.
     *
     * @param work told the frames, and whom to tell what is not as one would expect
     * @return what it told, in words for the user
     */
    static List<String> with(
            Export.Order order,
            Workers workers,
            Cancel cancel,
            BiConsumer<ExportFrames, List<String>> work) {
        List<String> words = new ArrayList<>();
        Store store = new Store(CACHE_BYTES);
        try (MediaPictures pictures = new MediaPictures(workers, store)) {
            ExportFrames frames =
                    new ExportFrames(
                            order,
                            new Planner(order.project()),
                            new Renderer(pictures, workers, store),
                            depth(order, workers),
                            workers,
                            cancel);
            frames.sayColours(words);
            work.accept(frames, words);
        }
        return List.copyOf(words);
    }

    /**
     * @throws ivrik.core.threads.CancelledException if it is no longer wanted
     */
    Frame frame(long n) {
        cancel.check();
        return frame(planner.plan(n), n);
    }

    private Frame frame(Plan plan, long n) {
        Frame frame = renderer.render(plan, order.scale(), cancel);
        Frame carried = isCarried() ? frame : converted(frame);
        return isDithered(plan) ? OutputDither.of(carried, depth, n, workers) : carried;
    }

    /**
     * The same as a picture of an encoder, without planes between where nothing else is done to it.
     */
    AVFrame filled(long n, PictureEncoder encoder) {
        cancel.check();
        Plan plan = planner.plan(n);
        return isCarried() && !isDithered(plan)
                ? renderer.made(plan, order.scale(), cancel, encoder::filled, encoder::filled)
                : encoder.filled(frame(plan, n));
    }

    private boolean isDithered(Plan plan) {
        boolean changed = !plan.layers().stream().allMatch(Plan.LayerPlan::isNeutral);
        return order.dither() && depth == Depth.INT8 && changed;
    }

    private boolean isCarried() {
        return order.form().carries(order.project().sequence().colour());
    }

    private Frame converted(Frame frame) {
        ColourSpace space = order.project().sequence().colour();
        return Conversion.of(space.primaries(), space.transfer(), ColourSpace.SRGB)
                .apply(frame, workers);
    }

    /** Says if the form has no such colours. */
    private void sayColours(List<String> words) {
        ColourSpace space = order.project().sequence().colour();
        if (!isCarried()) {
            words.add(
                    order.form().title()
                            + " does not carry "
                            + space.title()
                            + ": its colours are brought to BT.709 and sRGB");
        }
    }

    /** What the numbers mean that are written. */
    ColourSpace colour() {
        return colour(order);
    }

    static ColourSpace colour(Export.Order order) {
        ColourSpace space = order.project().sequence().colour();
        return order.form().carries(space) ? space : ColourSpace.SRGB;
    }

    /**
     * How these are written as a movie.
     *
     * @param words told what is not as one would expect
     */
    MovieWriter.Options movieOptions(List<String> words) {
        Plan first = planner.plan(order.range().first());
        boolean opaque = renderer.isOpaque(first, order.scale(), cancel);
        Form form = order.form();
        boolean sound = order.sound() && SoundMix.hasSound(order.project());
        if (sound && !form.keepsSound()) {
            words.add(form.title() + " has no sound");
        }
        var options =
                new MovieWriter.Options(
                        form,
                        order.quality(),
                        order.sampling(),
                        depth,
                        !opaque,
                        order.project().sequence().size().scaled(order.scale()),
                        order.odd(),
                        order.project().sequence().rate(),
                        colour(),
                        sound && form.keepsSound());
        if (!opaque && !form.keepsAlpha(order.sampling())) {
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
        return options;
    }

    /** The deepest of the sources (more for what holds more than white), so that untouched pictures leave as they came; floats as 16 bit. */
    private static Depth depth(Export.Order order, Workers workers) {
        Depth deepest = colour(order).isHighRange() ? Depth.INT16 : Depth.INT8;
        for (Source source : Export.files(order.project())) {
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
