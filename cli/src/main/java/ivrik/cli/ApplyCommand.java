package ivrik.cli;

import ivrik.core.look.Look;
import ivrik.core.project.Project;
import ivrik.media.decode.FilePatterns;
import ivrik.media.decode.Import;
import ivrik.media.encode.OutputName;

import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;

@Command(
        name = "apply",
        mixinStandardHelpOptions = true,
        description = {
            "Apply a look to a still, movie or numbered sequence, or to several.",
            "",
            "With {name} in OUT, several inputs are allowed. Outputs newer than their clip"
                    + " and look are skipped; failures are reported at the end and do not stop the"
                    + " rest."
        })
final class ApplyCommand implements Callable<Integer> {
    @Spec private CommandSpec spec;

    @Parameters(
            paramLabel = "INPUT",
            arity = "1..*",
            description =
                    "A still, movie, vector graphic or numbered sequence such as shot-%%04d.png;"
                            + " or several, such as 'clips/*.mov'.")
    private List<String> inputs;

    @Mixin private LookOptions look;

    @Mixin private InputOptions reading;

    @Mixin private OutputOptions output;

    @Option(
            names = "--restart",
            description = "Render finished clips again, for example after changing a dial.")
    private boolean again;

    @Option(
            names = "--json",
            description = "With several clips, report the outcome of each as JSON.")
    private boolean json;

    @Override
    public Integer call() {
        Look set = look.set(spec.commandLine());
        List<Path> clips = inputs.stream().flatMap(i -> FilePatterns.of(i).stream()).toList();
        if (OutputName.isTemplate(output.out.toString())) {
            return new ManyClips(output, look.files(), p -> project(p, set), spec.commandLine())
                    .make(clips, again, json);
        }
        if (clips.size() > 1 || again || json) {
            throw new ParameterException(
                    spec.commandLine(),
                    "with several clips, OUT must contain "
                            + OutputName.NAME
                            + ", for example 'out/"
                            + OutputName.NAME
                            + ".mp4'");
        }
        output.export(project(clips.getFirst(), set), look.files(), 1, spec.commandLine().getErr());
        return 0;
    }

    private Project project(Path clip, Look set) {
        return Import.project(reading.source(clip), set);
    }
}
