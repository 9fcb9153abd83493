package ivrik.cli;

import ivrik.core.picture.Workers;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.core.render.Cancel;
import ivrik.media.UnreadableMediaException;
import ivrik.media.encode.Export;
import ivrik.media.encode.Form;
import ivrik.media.encode.Quality;

import picocli.CommandLine.Option;

import java.io.PrintWriter;
import java.nio.file.Path;

/** Where and how pictures leave: shared by {@code apply} and {@code render}. */
final class OutputOptions {
    @Option(
            names = {"-o", "--out"},
            required = true,
            paramLabel = "OUT",
            description =
                    "Its ending decides the form: .png .tif .exr (with %%04d: numbered), .mkv .webm"
                            + " .mp4.")
    Path out;

    @Option(
            names = "--frames",
            paramLabel = "A-B",
            converter = Inputs.Range.class,
            description = "Frames from 0, both ends included; all if left out.")
    FrameRange frames;

    @Option(
            names = "--form",
            description = "Instead of the ending's own form: ${COMPLETION-CANDIDATES}.")
    Form form;

    @Option(
            names = "--quality",
            defaultValue = "GOOD",
            description = "${COMPLETION-CANDIDATES}; ${DEFAULT-VALUE} at rest.")
    Quality quality;

    @Option(
            names = "--dither",
            description = "Dither when leaving to 8 bit; a frame that is not changed never is.")
    boolean dither;

    @Option(names = "--progress", description = "Say how far it is, even when not on a terminal.")
    boolean progress;

    void export(Project project, Path folder, double scale, PrintWriter err) {
        FrameRange all = project.allFrames();
        FrameRange range = frames == null ? all : frames;
        if (range.last() > all.last()) {
            throw new UnreadableMediaException(
                    "there is no frame " + range.last() + " in " + project.name(),
                    "it has frames 0 to " + all.last());
        }
        boolean say = progress || System.console() != null && System.console().isTerminal();
        Export.run(
                new Export.Order(
                        project,
                        folder,
                        range,
                        form == null ? Form.of(out) : form,
                        quality,
                        scale,
                        dither,
                        out),
                Workers.shared(),
                done -> {
                    if (say) {
                        err.print(
                                "\r"
                                        + done
                                        + " of "
                                        + range.length()
                                        + (done == range.length() ? "\n" : ""));
                        err.flush();
                    }
                },
                Cancel.NEVER);
    }
}
