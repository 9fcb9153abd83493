package ivrik.cli;

import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.core.render.Advice;
import ivrik.core.threads.Cancel;
import ivrik.core.threads.Workers;
import ivrik.media.UnreadableMediaException;
import ivrik.media.UnwritableTargetException;
import ivrik.media.encode.Export;
import ivrik.media.encode.Form;
import ivrik.media.encode.Forms;
import ivrik.media.encode.Odd;
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

/** Where and how pictures leave: shared by {@code apply} and {@code render}. */
final class OutputOptions {
    @Option(
            names = {"-o", "--out"},
            required = true,
            paramLabel = "OUT",
            description =
                    "Its ending decides the form: .png .tif .exr (with %%04d: numbered), .mkv .webm"
                            + " .mp4 .webp .apng .gif; .wav for the sound alone.")
    Path out;

    @Option(
            names = "--frames",
            paramLabel = "A-B",
            converter = Inputs.Range.class,
            description = "Frames from 0, both ends included; all if left out.")
    FrameRange frames;

    @Option(
            names = "--form",
            paramLabel = "FORM",
            description =
                    "Instead of the ending's own form: png, tiff, exr, ffv1, prores, av1, vp9,"
                            + " h264, webp, apng, gif.")
    String form;

    @Option(
            names = "--preset",
            paramLabel = "WHAT FOR",
            description =
                    "editing, web, alpha, preview, sticker or exact: form, quality, colour and size"
                            + " at once, in place of those options.")
    String preset;

    @Option(
            names = "--sample",
            paramLabel = "420|422|444",
            description =
                    "How fully a movie keeps colour; 444 for colour splits. The form's own if left"
                            + " out.")
    String sample;

    @Option(
            names = "--odd",
            defaultValue = "PAD",
            description =
                    "Where a form has no odd sizes: ${COMPLETION-CANDIDATES}; ${DEFAULT-VALUE} if"
                            + " left out.")
    Odd odd;

    @Option(
            names = "--quality",
            defaultValue = "GOOD",
            description = "${COMPLETION-CANDIDATES}; ${DEFAULT-VALUE} if left out.")
    Quality quality;

    @Option(
            names = "--dither",
            description = "Dither when leaving to 8 bit; a frame that is not changed never is.")
    boolean dither;

    @Option(names = "--no-sound", description = "Leave the sound out.")
    boolean noSound;

    @Option(names = "--progress", description = "Say how far it is, even when not on a terminal.")
    boolean progress;

    @Mixin Overwriting overwriting;

    /** The frames that are wanted, all of which there are. */
    FrameRange range(Project project) {
        FrameRange all = project.allFrames();
        FrameRange range = frames == null ? all : frames;
        if (range.last() > all.last()) {
            throw new UnreadableMediaException(
                    "there is no frame " + range.last() + " in " + project.name(),
                    "it has frames 0 to " + all.last());
        }
        return range;
    }

    /** Says how far it is, where anyone is likely to read it. */
    LongConsumer saying(FrameRange range, PrintWriter err) {
        return saying("", range, err);
    }

    /**
     * @param before what stands before it
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
     * @param kept files besides the project's media that are read
     */
    void export(Project project, List<Path> kept, double scale, PrintWriter err) {
        export(project, out, kept, scale, saying(range(project), err))
                .forEach(word -> err.println("ivrik: note: " + word));
    }

    /**
     * To a file or pattern of its own.
     *
     * @return what is not as one would expect, in words for the user
     */
    List<String> export(
            Project project, Path to, List<Path> kept, double scale, LongConsumer done) {
        FrameRange range = range(project);
        if (WavFile.isWav(to)) {
            overwriting.check(List.of(to), kept);
            WavFile.write(project, range, to, done, Cancel.NEVER);
            return List.of();
        }
        List<String> words =
                Export.run(order(project, to, kept, scale), Workers.shared(), done, Cancel.NEVER);
        return Stream.concat(words.stream(), Advice.at(project, range.first(), scale).stream())
                .toList();
    }

    /** What is to be written. */
    Export.Order order(Project project, Path to, List<Path> kept, double scale) {
        if (preset != null) {
            return preset(Preset.named(preset), basic(project, to, kept, scale));
        }
        return basic(project, to, kept, scale);
    }

    private static Export.Order preset(Preset preset, Export.Order order) {
        if (Forms.of(order.out()) != Forms.of(Path.of("a" + preset.form().ending()))) {
            throw new UnwritableTargetException(
                    "the form for " + preset.title() + " is " + preset.form().title(),
                    "let OUT end with " + preset.form().ending(),
                    null);
        }
        return preset.applied(order);
    }

    private Export.Order basic(Project project, Path to, List<Path> kept, double scale) {
        Form chosen = form == null ? Forms.of(to) : Forms.named(form);
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
