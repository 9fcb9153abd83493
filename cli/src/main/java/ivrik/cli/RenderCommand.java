package ivrik.cli;

import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.core.threads.Workers;

import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;

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

    @Option(
            names = "--lanes",
            description =
                    "Write the treated lanes of every look, before they are rejoined, into the"
                            + " folder OUT: LAYER/LOOK/LANE-0000.exr, 32-bit float.")
    private boolean lanes;

    @Mixin private OutputOptions output;

    @Override
    public void run() {
        if (!(scale > 0 && scale <= 8)) {
            throw new ParameterException(spec.commandLine(), "a scale lies over 0 and up to 8");
        }
        Project project = Inputs.project(file);
        if (lanes) {
            writeLanes(project);
            return;
        }
        output.export(project, List.of(file), scale, spec.commandLine().getErr());
    }

    private void writeLanes(Project project) {
        FrameRange range = output.range(project);
        TreatedLanes treated = new TreatedLanes(project, range, output.out);
        List<Path> read =
                Stream.concat(
                                Stream.of(file),
                                project.sources().stream()
                                        .filter(s -> s.kind().isFile())
                                        .map(s -> Path.of(s.path())))
                        .toList();
        output.overwriting.check(treated.files(), read);
        treated.write(scale, Workers.shared(), output.saying(range, spec.commandLine().getErr()));
    }
}
