package ivrik.cli;

import ivrik.core.json.ProjectJson;
import ivrik.media.UnreadableMediaException;
import ivrik.media.file.ProjectFile;

import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

import java.nio.file.Path;
import java.util.List;

@Command(name = "render", mixinStandardHelpOptions = true, description = "Render a project.")
final class RenderCommand implements Runnable {
    @Spec private CommandSpec spec;

    @Parameters(paramLabel = "PROJECT")
    private Path file;

    @Option(
            names = "--scale",
            defaultValue = "1",
            description = "Of the sequence's size; ${DEFAULT-VALUE} by default.")
    private double scale;

    @Mixin private OutputOptions output;

    @Override
    public void run() {
        if (!(scale > 0 && scale <= 8)) {
            throw new ParameterException(spec.commandLine(), "a scale lies over 0 and up to 8");
        }
        ProjectJson.Reading reading = ProjectFile.open(file);
        if (!reading.problems().isEmpty()) {
            throw new UnreadableMediaException(
                    file + " is damaged: " + String.join("; ", reading.problems()),
                    "open it in the window and save it again");
        }
        output.export(reading.project(), List.of(file), scale, spec.commandLine().getErr());
    }
}
