package ivrik.media.encode;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.picture.Frame;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.core.project.Source;
import ivrik.core.threads.Cancel;
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
 * A range of a project written as a still, a numbered sequence or a movie with sound. Frames are decoded,
 * rendered and encoded at once, each by threads of its own. A movie is made in parts; those that are
 * finished stay beside the target until it is whole, so that an export that was broken off goes on from
 * there, and comes to the same bytes.
 */
public final class Export {
    /** Frames of a part of a movie: some seconds. */
    private static final int PART = 96;

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
    @RecordBuilder
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
            List<Path> kept)
            implements ExportOrderBuilder.With {
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

        /** Everything that is read for it. */
        private List<Path> inputs() {
            return Stream.concat(kept.stream(), files(project).stream().map(s -> Path.of(s.path())))
                    .toList();
        }
    }

    /**
     * Writes it. A movie that is cancelled or fails leaves nothing under its name; of a numbered sequence
     * the frames already written stay. What was done is kept, see {@link Unfinished}.
     *
     * @param progress told how many frames are done, those of before an export was broken off too; by
     *     threads of its own
     * @return what is not as one would expect, in words for the user; often nothing
     * @throws ivrik.media.TargetExistsException if a file is there and may not be replaced
     * @throws ivrik.core.threads.CancelledException when {@code cancel} says so
     * @throws ivrik.core.IvrikException what could not be read or written
     */
    public static List<String> run(
            Order order, Workers workers, LongConsumer progress, Cancel cancel) {
        return run(order, Unfinished.of(order), workers, progress, cancel);
    }

    /**
     * @param unfinished where what is done is kept
     */
    static List<String> run(
            Order order,
            Unfinished unfinished,
            Workers workers,
            LongConsumer progress,
            Cancel cancel) {
        check(order);
        protect(order, unfinished);
        probe(order);
        try (unfinished) {
            List<String> words = new ArrayList<>();
            unfinished.begin().ifPresent(words::add);
            words.addAll(
                    ExportFrames.with(
                            order,
                            workers,
                            cancel,
                            (frames, said) -> {
                                if (order.form().isMovie()) {
                                    movie(frames, unfinished, progress, said);
                                } else {
                                    stills(frames, unfinished, progress);
                                }
                            }));
            unfinished.remove();
            return List.copyOf(words);
        }
    }

    /** Whether anything is kept of an export to a target that was broken off. */
    public static boolean isBrokenOff(Path out) {
        return Unfinished.isOfUse(Unfinished.folder(out));
    }

    /** Throws away what is kept of an export to a target that was broken off. */
    public static void throwAway(Path out) {
        Unfinished.remove(Unfinished.folder(out));
    }

    /**
     * Sees to it that nothing is written over that must not be.
     *
     * @throws ivrik.media.TargetExistsException if a file is there and may not be replaced
     */
    static void protect(Order order) {
        protect(order, Unfinished.of(order));
    }

    private static void protect(Order order, Unfinished unfinished) {
        List<Path> existing = OutputFiles.existing(order.out(), order.range());
        OutputFiles.protect(existing, order.inputs());
        if (!order.overwrite()) {
            OutputFiles.refuse(existing.stream().filter(f -> !unfinished.wrote(f)).toList());
        }
    }

    /** Fails now, not after the first part, if the place cannot be written to. */
    static void probe(Order order) {
        new SafeFile(NumberedSequence.numbered(order.out(), order.range().first())).close();
    }

    /** Sees to it that all is there and that the form can do it, before anything is written. */
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
    }

    static List<Source> files(Project project) {
        return project.sources().stream().filter(s -> s.kind().isFile()).toList();
    }

    private static void stills(ExportFrames frames, Unfinished unfinished, LongConsumer progress) {
        Order order = frames.order();
        try (Together together = new Together()) {
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
            ExportFrames frames, Unfinished unfinished, LongConsumer progress, List<String> words) {
        Order order = frames.order();
        MovieWriter.Options options = frames.movieOptions(words);
        List<Path> parts = new ArrayList<>();
        try (Encoding encoding = new Encoding(frames, progress)) {
            if (order.form().isInParts()) {
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
        if (order.form().isInParts()) {
            join(parts, options, frames);
        }
    }

    /** The frames of each part of a movie: cut at places that depend on its range alone. */
    static List<FrameRange> parts(FrameRange range) {
        List<FrameRange> parts = new ArrayList<>();
        for (long first = range.first(); first <= range.last(); first += PART) {
            parts.add(new FrameRange(first, Math.min(first + PART - 1, range.last())));
        }
        return parts;
    }

    /** Puts the parts of a movie together, with its sound. */
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
