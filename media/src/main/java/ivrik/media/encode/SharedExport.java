package ivrik.media.encode;

import ivrik.core.project.FrameRange;
import ivrik.core.threads.Cancel;
import ivrik.core.threads.Workers;
import ivrik.media.UnwritableTargetException;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.function.LongConsumer;
import java.util.stream.IntStream;

/**
 * An export that several processes share, on one machine or on many that see the same disk. Stills go
 * straight to their names. A movie's parts, the very ones that a single export makes, gather in a folder
 * beside the target until {@link #join} puts them together: to the same bytes.
 */
public final class SharedExport {
    private SharedExport() {}

    /** How many pieces an order has at most: stretches of a movie, or stills. */
    public static long count(Export.Order order) {
        return order.form().isMovie() ? Export.parts(order.range()).size() : order.range().length();
    }

    /**
     * Sees to it, before anything is made, that an order can be shared and all is there for it.
     *
     * @throws ivrik.core.IvrikException what is missing, in the way, or made in one go
     */
    public static void check(Export.Order order) {
        inParts(order);
        Export.check(order);
        Export.protect(order);
    }

    /** Throws the parts away that wait to be joined to a movie, if there are any. */
    public static void forget(Path out) {
        Path folder = PartsFolder.of(out);
        if (Files.isDirectory(folder)) {
            PartsFolder parts = PartsFolder.open(folder);
            parts.remove(Export.parts(parts.order().range()).size());
        }
    }

    private static void inParts(Export.Order order) {
        if (order.form().isMovie() && !order.form().isInParts()) {
            throw new UnwritableTargetException(
                    order.form().title() + " is made in one go, not in parts",
                    "choose another form",
                    null);
        }
    }

    /**
     * Makes one share of an order; what is there of it already is left as it is.
     *
     * @param progress told how many of all frames are done up to where it is
     * @return what is not as one would expect, in words for the user
     * @throws ivrik.core.IvrikException what could not be read or written, or that this form is made in one go
     */
    public static List<String> run(
            Export.Order order,
            Share share,
            Workers workers,
            LongConsumer progress,
            Cancel cancel) {
        long count = count(order);
        if (share.isEmpty(count)) {
            return List.of(
                    "nothing is left for part " + share + ": there are only " + count + " of them");
        }
        if (!order.form().isMovie()) {
            Export.Order own = order.withRange(share.of(order.range()));
            return Export.run(own, Unfinished.of(own, share), workers, progress, cancel);
        }
        inParts(order);
        Export.check(order);
        PartsFolder folder = PartsFolder.begin(order);
        return ExportFrames.with(
                order,
                workers,
                cancel,
                (frames, words) -> {
                    MovieWriter.Options options = frames.movieOptions(words);
                    List<FrameRange> parts = Export.parts(order.range());
                    try (Encoding encoding = new Encoding(frames, progress)) {
                        for (int k = (int) share.first(count); k < share.end(count); k++) {
                            encoding.part(folder.part(k), options, parts.get(k));
                        }
                        encoding.await();
                    }
                });
    }

    /**
     * Puts the parts of a movie together and takes their folder away.
     *
     * @param folder that the shares have left, {@code NAME.parts}
     * @param out where the movie is to be, with the ending of the form that was rendered
     * @return what is not as one would expect, in words for the user
     * @throws ivrik.core.IvrikException that parts are missing, and which; or what could not be read or written
     */
    public static List<String> join(
            Path folder, Path out, boolean overwrite, Workers workers, Cancel cancel) {
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
                            + " stretches: "
                            + String.join(", ", missing),
                    "render what is missing with --part, or all of it again without",
                    null);
        }
        List<String> words =
                ExportFrames.with(
                        order,
                        workers,
                        cancel,
                        (frames, said) -> Export.join(files, frames.movieOptions(said), frames));
        parts.remove(count);
        return words;
    }
}
