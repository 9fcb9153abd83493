package ivrik.media.encode;

import ivrik.core.project.FrameRange;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;
import ivrik.media.UnwritableTargetException;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.function.LongConsumer;
import java.util.stream.IntStream;

/**
 * An export that several processes share, on one machine or on several with a shared disk. Stills are written
 * directly. Movie segments, the same as in a single export, collect in a folder beside the target until
 * {@link #join} writes the movie: with the same bytes.
 */
public final class SharedExport {
    private SharedExport() {}

    /** Number of pieces of an export: movie segments, or stills. */
    public static long count(Export.Order order) {
        return order.format().isMovie()
                ? Export.parts(order.range()).size()
                : order.range().length();
    }

    /**
     * Checks that an export can be shared and that its inputs exist.
     *
     * @throws ivrik.core.IvrikException if a file is missing or exists already, or the format cannot be
     *     shared
     */
    public static void check(Export.Order order) {
        inParts(order);
        Export.check(order);
        Export.protect(order);
    }

    /** Deletes the segments that wait for joining. */
    public static void forget(Path out) {
        Path folder = PartsFolder.of(out);
        if (Files.isDirectory(folder)) {
            PartsFolder parts = PartsFolder.open(folder);
            parts.remove(Export.parts(parts.order().range()).size());
        }
    }

    private static void inParts(Export.Order order) {
        if (order.format().isMovie() && !order.format().isInParts()) {
            throw new UnwritableTargetException(
                    order.format().title() + " cannot be rendered in parts",
                    "choose another format",
                    null);
        }
    }

    /**
     * Renders one part of an export; existing segments are kept.
     *
     * @param progress receives the number of finished frames
     * @return notes for the user
     * @throws ivrik.core.IvrikException if a file cannot be read or written, or the format cannot be shared
     */
    public static List<String> run(
            Export.Order order,
            ExportShare share,
            Workers workers,
            LongConsumer progress,
            Cancellation cancel) {
        long count = count(order);
        if (share.isEmpty(count)) {
            return List.of("part " + share + " is empty: there are only " + count + " frames");
        }
        if (!order.format().isMovie()) {
            Export.Order own = order.withRange(share.of(order.range()));
            return Export.run(own, PartialExport.of(own, share), workers, progress, cancel);
        }
        inParts(order);
        Export.check(order);
        PartsFolder folder = PartsFolder.begin(order);
        return ExportFrames.with(
                order,
                workers,
                cancel,
                (frames, notes) -> {
                    MovieWriter.Options options = frames.movieOptions(notes);
                    List<FrameRange> parts = Export.parts(order.range());
                    try (MovieEncoding encoding = new MovieEncoding(frames, progress)) {
                        for (int k = (int) share.first(count); k < share.end(count); k++) {
                            encoding.part(folder.part(k), options, parts.get(k));
                        }
                        encoding.await();
                    }
                });
    }

    /**
     * Joins the segments of a movie and deletes their folder.
     *
     * @param folder folder of the segments, {@code NAME.parts}
     * @param out target with the extension of the rendered format
     * @return notes for the user
     * @throws ivrik.core.IvrikException if segments are missing, or a file cannot be read or written
     */
    public static List<String> join(
            Path folder, Path out, boolean overwrite, Workers workers, Cancellation cancel) {
        PartsFolder parts = PartsFolder.open(folder);
        Export.Order order = parts.order().withOut(out).withOverwrite(overwrite);
        Export.check(order);
        Export.protect(order);
        int count = Export.parts(order.range()).size();
        List<Path> files = IntStream.range(0, count).mapToObj(parts::part).toList();
        List<String> missing =
                IntStream.range(0, count)
                        .filter(k -> !Files.exists(files.get(k)))
                        .mapToObj(k -> Integer.toString(k + 1))
                        .toList();
        if (!missing.isEmpty()) {
            throw new UnwritableTargetException(
                    folder
                            + " lacks "
                            + missing.size()
                            + " of "
                            + count
                            + " parts: "
                            + String.join(", ", missing),
                    "render the missing parts with --part, or everything again without it",
                    null);
        }
        List<String> notes =
                ExportFrames.with(
                        order,
                        workers,
                        cancel,
                        (frames, said) -> Export.join(files, frames.movieOptions(said), frames));
        parts.remove(count);
        return notes;
    }
}
