package ivrik.cli;

import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.core.render.Advice;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;
import ivrik.media.UnreadableMediaException;
import ivrik.media.UnwritableTargetException;
import ivrik.media.encode.Export;
import ivrik.media.encode.ExportFormat;
import ivrik.media.encode.ExportFormats;
import ivrik.media.encode.OddSizes;
import ivrik.media.encode.Preset;
import ivrik.media.encode.Quality;
import ivrik.media.encode.Sampling;
import ivrik.media.sound.WavFile;

import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.List;
import java.util.function.LongConsumer;
import java.util.stream.Stream;

/** Target and format of exports, shared by {@code apply} and {@code render}. */
final class OutputOptions {
    @Option(
            names = {"-o", "--out"},
            required = true,
            paramLabel = "OUT",
            description =
                    "The extension selects the format: .png .tif .exr (%%04d for a numbered"
                            + " sequence), .mkv .webm .mp4 .webp .apng .gif; .wav for sound only.")
    Path out;

    @Option(
            names = "--frames",
            paramLabel = "A-B",
            converter = InputFiles.Range.class,
            description = "First and last frame, inclusive, counted from 0. Default: all.")
    FrameRange frames;

    @Option(
            names = "--format",
            paramLabel = "FORMAT",
            description =
                    "Format, in place of the one that the extension selects: png, tiff, exr, ffv1,"
                            + " prores, av1, vp9, h264, webp, apng, gif.")
    String format;

    @Option(
            names = "--preset",
            paramLabel = "PRESET",
            description =
                    "editing, web, alpha, preview, animated-image or lossless: sets format,"
                            + " quality, chroma sampling and size together.")
    String preset;

    @Option(
            names = "--sampling",
            paramLabel = "420|422|444",
            description =
                    "Chroma sampling; use 444 for colour splits. Default: that of the format.")
    String sample;

    @Option(
            names = "--odd",
            defaultValue = "pad",
            description =
                    "For formats that need even sizes: ${COMPLETION-CANDIDATES}. Default:"
                            + " ${DEFAULT-VALUE}.")
    OddSizes odd;

    @Option(
            names = "--quality",
            defaultValue = "good",
            description = "${COMPLETION-CANDIDATES}; ${DEFAULT-VALUE} if left out.")
    Quality quality;

    @Option(
            names = "--dither",
            description = "Dither 8-bit output; unchanged frames are not dithered.")
    boolean dither;

    @Option(names = "--no-sound", description = "Export without sound.")
    boolean noSound;

    @Option(
            names = "--progress",
            description = "Print progress even when the output is not a terminal.")
    boolean progress;

    @Mixin OverwriteOption overwriting;

    /** The selected frames, all of which must exist. */
    FrameRange range(Project project) {
        FrameRange all = project.allFrames();
        FrameRange range = frames == null ? all : frames;
        if (range.last() > all.last()) {
            throw new UnreadableMediaException(
                    project.name() + " has no frame " + range.last(),
                    "available frames: 0 to " + all.last());
        }
        return range;
    }

    /** Prints progress if the output is a terminal or progress was requested. */
    LongConsumer saying(FrameRange range, PrintWriter err) {
        return saying("", range, err);
    }

    /**
     * @param before prefix of each line
     */
    LongConsumer saying(String before, FrameRange range, PrintWriter err) {
        boolean say = progress || System.console() != null && System.console().isTerminal();
        return done -> {
            if (say) {
                String end = done == range.length() ? "\n" : "";
                err.print("\r" + before + done + " of " + range.length() + end);
                err.flush();
            }
        };
    }

    /**
     * @param kept further input files
     */
    void export(Project project, List<Path> kept, double scale, PrintWriter err) {
        export(project, out, kept, scale, saying(range(project), err))
                .forEach(word -> err.println("ivrik: note: " + word));
    }

    /**
     * Exports to a file or pattern.
     *
     * @return notes for the user
     */
    List<String> export(
            Project project, Path to, List<Path> kept, double scale, LongConsumer done) {
        FrameRange range = range(project);
        if (WavFile.isWav(to)) {
            overwriting.check(List.of(to), kept);
            WavFile.write(project, range, to, done, Cancellation.NEVER);
            return List.of();
        }
        List<String> notes =
                Export.run(
                        order(project, to, kept, scale),
                        Workers.shared(),
                        done,
                        Cancellation.NEVER);
        return Stream.concat(notes.stream(), Advice.at(project, range.first(), scale).stream())
                .toList();
    }

    /** The export. */
    Export.Order order(Project project, Path to, List<Path> kept, double scale) {
        if (preset != null) {
            return preset(Preset.named(preset), basic(project, to, kept, scale));
        }
        return basic(project, to, kept, scale);
    }

    private static Export.Order preset(Preset preset, Export.Order order) {
        if (ExportFormats.of(order.out())
                != ExportFormats.of(Path.of("a" + preset.format().ending()))) {
            throw new UnwritableTargetException(
                    "preset " + preset.title() + " needs the format " + preset.format().title(),
                    "use the extension " + preset.format().ending() + " for OUT",
                    null);
        }
        return preset.applied(order);
    }

    private Export.Order basic(Project project, Path to, List<Path> kept, double scale) {
        ExportFormat chosen = format == null ? ExportFormats.of(to) : ExportFormats.named(format);
        return Export.Order.of(project, to, chosen)
                .with(
                        o ->
                                o.range(range(project))
                                        .quality(quality)
                                        .sampling(
                                                sample == null
                                                        ? chosen.samplings().getFirst()
                                                        : Sampling.named(sample))
                                        .scale(scale)
                                        .odd(odd)
                                        .dither(dither)
                                        .sound(!noSound)
                                        .overwrite(overwriting.allowed)
                                        .kept(kept));
    }
}
