package ivrik.cli;

import ivrik.core.look.Look;
import ivrik.core.project.Project;
import ivrik.media.decode.Import;
import ivrik.media.decode.ManyFiles;
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
            "Do a look to a still, movie or numbered sequence, or to many of them.",
            "",
            "With {name} in OUT there may be many: what is finished and newer than its clip and the"
                    + " look is left, what cannot be made is reported at the end and stops nothing."
        })
final class ApplyCommand implements Callable<Integer> {
    @Spec private CommandSpec spec;

    @Parameters(
            paramLabel = "INPUT",
            arity = "1..*",
            description =
                    "A still, a movie, a vector graphic, or shot-%%04d.png; or many, such as"
                            + " 'clips/*.mov'.")
    private List<String> inputs;

    @Mixin private LookOptions look;

    @Mixin private InputOptions reading;

    @Mixin private OutputOptions output;

    @Option(
            names = "--again",
            description = "Of many clips, make those too that are finished: with other dials, say.")
    private boolean again;

    @Option(names = "--json", description = "Of many clips, report what became of each as JSON.")
    private boolean json;

    @Override
    public Integer call() {
        Look set = look.set(spec.commandLine());
        List<Path> clips = inputs.stream().flatMap(i -> ManyFiles.of(i).stream()).toList();
        if (OutputName.isTemplate(output.out.toString())) {
            return new ManyClips(output, look.files(), p -> project(p, set), spec.commandLine())
                    .make(clips, again, json);
        }
        if (clips.size() > 1 || again || json) {
            throw new ParameterException(
                    spec.commandLine(),
                    "of several clips, OUT has "
                            + OutputName.NAME
                            + " where the name of each comes, such as 'out/"
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
