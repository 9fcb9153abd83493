package ivrik.media.encode;

import ivrik.core.cache.FrameCache;
import ivrik.core.colour.ColourConversion;
import ivrik.core.colour.ColourSpace;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.project.Source;
import ivrik.core.render.OutputDither;
import ivrik.core.render.Plan;
import ivrik.core.render.Planner;
import ivrik.core.render.Renderer;
import ivrik.core.threads.Cancellation;
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
 * Rendered frames of an export, in a colour space that the format can tag, dithered if requested.
 *
 * @param depth sample depth, if the format has a choice
 */
record ExportFrames(
        Export.Order order,
        Planner planner,
        Renderer renderer,
        Depth depth,
        Workers workers,
        Cancellation cancel) {
    private static final long CACHE_BYTES = 256L << 20;

    /**
     * Provides the frames of an export to a consumer.
     *
     * @param work receives the frames and a list for notes
     * @return the notes
     */
    static List<String> with(
            Export.Order order,
            Workers workers,
            Cancellation cancel,
            BiConsumer<ExportFrames, List<String>> work) {
        List<String> notes = new ArrayList<>();
        FrameCache cache = new FrameCache(CACHE_BYTES);
        try (MediaPictures pictures = new MediaPictures(workers, cache)) {
            ExportFrames frames =
                    new ExportFrames(
                            order,
                            new Planner(order.project()),
                            new Renderer(pictures, workers, cache),
                            depth(order, workers),
                            workers,
                            cancel);
            frames.sayColours(notes);
            work.accept(frames, notes);
        }
        return List.copyOf(notes);
    }

    /**
     * @throws ivrik.core.threads.CancelledException if cancelled
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

    /** The frame as an encoder's picture, without planes in between if possible. */
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
        return order.format().carries(order.project().sequence().colour());
    }

    private Frame converted(Frame frame) {
        ColourSpace space = order.project().sequence().colour();
        return ColourConversion.of(space.primaries(), space.transfer(), ColourSpace.SRGB)
                .apply(frame, workers);
    }

    /** Reports a colour space that the format cannot tag. */
    private void sayColours(List<String> notes) {
        ColourSpace space = order.project().sequence().colour();
        if (!isCarried()) {
            notes.add(
                    order.format().title()
                            + " cannot store "
                            + space.title()
                            + ": converted to BT.709 and sRGB");
        }
    }

    /** Colour space of the written pictures. */
    ColourSpace colour() {
        return colour(order);
    }

    static ColourSpace colour(Export.Order order) {
        ColourSpace space = order.project().sequence().colour();
        return order.format().carries(space) ? space : ColourSpace.SRGB;
    }

    /**
     * Movie options of the export.
     *
     * @param notes receives notes
     */
    MovieWriter.Options movieOptions(List<String> notes) {
        Plan first = planner.plan(order.range().first());
        boolean opaque = renderer.isOpaque(first, order.scale(), cancel);
        ExportFormat format = order.format();
        boolean sound = order.sound() && SoundMix.hasSound(order.project());
        if (sound && !format.keepsSound()) {
            notes.add(format.title() + " cannot store sound");
        }
        var options =
                new MovieWriter.Options(
                        format,
                        order.quality(),
                        order.sampling(),
                        depth,
                        !opaque,
                        order.project().sequence().size().scaled(order.scale()),
                        order.odd(),
                        order.project().sequence().rate(),
                        colour(),
                        sound && format.keepsSound());
        if (!opaque && !format.keepsAlpha(order.sampling())) {
            notes.add(
                    format.title()
                            + " cannot store alpha"
                            + (order.sampling() == Sampling.FULL && format.hasQuality()
                                    ? " with 4:4:4 sampling"
                                    : "")
                            + ": composited over black");
        }
        if (!options.written().equals(options.size())) {
            notes.add(
                    format.title()
                            + " needs even sizes: "
                            + options.size()
                            + ", "
                            + order.odd().title());
        }
        return options;
    }

    /**
     * The depth of the deepest source (16 bits for values above white), so that unchanged pictures stay
     * exact; floats are written as 16 bits.
     */
    private static Depth depth(Export.Order order, Workers workers) {
        Depth deepest = colour(order).isHighRange() ? Depth.INT16 : Depth.INT8;
        for (Source source : Export.files(order.project())) {
            try (Footage footage =
                    Footage.open(Path.of(source.path()), source.settings(), workers)) {
                if (footage.depth().bits() > deepest.bits()) {
                    deepest = footage.depth();
                }
            } catch (MissingFileException e) {
                continue; // unused source: used ones were checked before
            }
        }
        return deepest.isInteger() ? deepest : Depth.INT16;
    }
}
