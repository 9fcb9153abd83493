package ivrik.media.encode;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.picture.Frame;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.core.project.Source;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;
import ivrik.media.MissingFileException;
import ivrik.media.UnwritableTargetException;
import ivrik.media.decode.NumberedSequence;
import ivrik.media.file.SafeFile;
import ivrik.media.sound.SoundMix;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.LongConsumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Exports a range of a project as a still, a numbered sequence or a movie with sound. Decoding, rendering and
 * encoding run in parallel. A movie is encoded in segments; finished segments stay beside the target until
 * the movie is complete, so that an interrupted export continues and yields the same bytes.
 */
public final class Export {
    /** Frames of a movie segment. */
    private static final int PART = 96;

    private Export() {}

    /**
     * Settings of an export.
     *
     * @param project with absolute media paths
     * @param out a file or the pattern of a numbered sequence
     * @param sampling a chroma subsampling of the format
     * @param scale relative to the sequence's size, greater than 0
     * @param odd treatment of odd sizes if the format needs even ones
     * @param dither whether 8-bit output is dithered; unchanged frames never are
     * @param sound whether a movie includes the sound of the clips
     * @param overwrite whether existing files may be replaced
     * @param kept further files that must not be overwritten
     */
    @RecordBuilder
    public record Order(
            Project project,
            Path out,
            FrameRange range,
            ExportFormat format,
            Quality quality,
            Sampling sampling,
            double scale,
            OddSizes odd,
            boolean dither,
            boolean sound,
            boolean overwrite,
            List<Path> kept)
            implements ExportOrderBuilder.With {
        /** The whole project at full size, good quality and with sound; existing files are kept. */
        public static Order of(Project project, Path out, ExportFormat format) {
            return new Order(
                    project,
                    out,
                    project.allFrames(),
                    format,
                    Quality.GOOD,
                    format.samplings().getFirst(),
                    1,
                    OddSizes.PAD,
                    false,
                    true,
                    false,
                    List.of());
        }

        /** All input files. */
        private List<Path> inputs() {
            return Stream.concat(kept.stream(), files(project).stream().map(s -> Path.of(s.path())))
                    .toList();
        }
    }

    /**
     * Runs an export. A cancelled or failed movie leaves no file under its name; written frames of a numbered
     * sequence stay. Finished segments are kept, see {@link PartialExport}.
     *
     * @param progress receives the number of finished frames, including those of an interrupted export;
     *     called by other threads
     * @return notes for the user
     * @throws ivrik.media.TargetExistsException if a file exists and must not be replaced
     * @throws ivrik.core.threads.CancelledException if cancelled
     * @throws ivrik.core.IvrikException if a file cannot be read or written
     */
    public static List<String> run(
            Order order, Workers workers, LongConsumer progress, Cancellation cancel) {
        return run(order, PartialExport.of(order), workers, progress, cancel);
    }

    /**
     * @param unfinished storage of finished segments
     */
    static List<String> run(
            Order order,
            PartialExport unfinished,
            Workers workers,
            LongConsumer progress,
            Cancellation cancel) {
        check(order);
        protect(order, unfinished);
        probe(order);
        try (unfinished) {
            List<String> notes = new ArrayList<>();
            unfinished.begin().ifPresent(notes::add);
            notes.addAll(
                    ExportFrames.with(
                            order,
                            workers,
                            cancel,
                            (frames, said) -> {
                                if (order.format().isMovie()) {
                                    movie(frames, unfinished, progress, said);
                                } else {
                                    stills(frames, unfinished, progress);
                                }
                            }));
            unfinished.remove();
            return List.copyOf(notes);
        }
    }

    /** Whether an interrupted export to a target can be continued. */
    public static boolean isBrokenOff(Path out) {
        return PartialExport.isOfUse(PartialExport.folder(out));
    }

    /** Discards the finished segments of an interrupted export. */
    public static void discard(Path out) {
        PartialExport.remove(PartialExport.folder(out));
    }

    /**
     * Checks that no existing file is overwritten without permission.
     *
     * @throws ivrik.media.TargetExistsException if a file exists and must not be replaced
     */
    static void protect(Order order) {
        protect(order, PartialExport.of(order));
    }

    private static void protect(Order order, PartialExport unfinished) {
        List<Path> existing = OutputFiles.existing(order.out(), order.range());
        OutputFiles.protect(existing, order.inputs());
        if (!order.overwrite()) {
            OutputFiles.refuse(existing.stream().filter(f -> !unfinished.wrote(f)).toList());
        }
    }

    /** Checks that the target is writable, before rendering. */
    static void probe(Order order) {
        new SafeFile(NumberedSequence.numbered(order.out(), order.range().first())).close();
    }

    /** Checks the inputs and the format, before rendering. */
    static void check(Order order) {
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
        if (!order.format().samplings().contains(order.sampling())) {
            throw new UnwritableTargetException(
                    order.format().title()
                            + " does not support chroma sampling "
                            + order.sampling().title(),
                    "choose "
                            + order.format().samplings().stream()
                                    .map(Sampling::id)
                                    .collect(Collectors.joining(" or ")),
                    null);
        }
        if (!order.format().isMovie()
                && order.range().length() > 1
                && !NumberedSequence.isPattern(order.out())) {
            throw new UnwritableTargetException(
                    "one "
                            + order.format().title()
                            + " file holds one frame, not "
                            + order.range().length(),
                    "add %04d to the file name for a numbered sequence, or export one frame",
                    null);
        }
    }

    static List<Source> files(Project project) {
        return project.sources().stream().filter(s -> s.kind().isFile()).toList();
    }

    private static void stills(
            ExportFrames frames, PartialExport unfinished, LongConsumer progress) {
        Order order = frames.order();
        try (SerialWorker together = new SerialWorker()) {
            for (long n = order.range().first(); n <= order.range().last(); n++) {
                Path out = NumberedSequence.numbered(order.out(), n);
                long done = n - order.range().first() + 1;
                if (unfinished.wrote(out)) {
                    progress.accept(done);
                    continue;
                }
                long number = n;
                Frame frame = together.next(() -> frames.frame(number));
                together.then(
                        () -> {
                            StillWriter.write(
                                    frame, out, frames.depth(), frames.colour(), frames.workers());
                            unfinished.writes(out);
                            progress.accept(done);
                        });
            }
            together.await();
        }
    }

    private static void movie(
            ExportFrames frames,
            PartialExport unfinished,
            LongConsumer progress,
            List<String> notes) {
        Order order = frames.order();
        MovieWriter.Options options = frames.movieOptions(notes);
        List<Path> parts = new ArrayList<>();
        try (MovieEncoding encoding = new MovieEncoding(frames, progress)) {
            if (order.format().isInParts()) {
                for (FrameRange some : parts(order.range())) {
                    parts.add(unfinished.part(parts.size()));
                    encoding.part(parts.getLast(), options, some);
                }
            } else {
                encoding.movie(
                        new MovieWriter(order.out(), options, frames.workers()), order.range());
            }
            encoding.await();
        }
        if (order.format().isInParts()) {
            join(parts, options, frames);
        }
    }

    /** The frames of each segment, which depend only on the range. */
    static List<FrameRange> parts(FrameRange range) {
        List<FrameRange> parts = new ArrayList<>();
        for (long first = range.first(); first <= range.last(); first += PART) {
            parts.add(new FrameRange(first, Math.min(first + PART - 1, range.last())));
        }
        return parts;
    }

    /** Joins the segments of a movie and adds the sound. */
    static void join(List<Path> parts, MovieWriter.Options options, ExportFrames frames) {
        Order order = frames.order();
        try (SoundMix mix = new SoundMix(order.project())) {
            MovieWriter.join(
                    order.out(),
                    options,
                    parts,
                    order.range().length(),
                    n -> {
                        frames.cancel().check();
                        return mix.frame(order.range().first() + n);
                    },
                    frames.workers());
        }
    }
}
