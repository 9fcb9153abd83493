package ivrik.cli;

import ivrik.media.decode.Import;

import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

import java.nio.file.Path;

@Command(
        name = "apply",
        mixinStandardHelpOptions = true,
        description = "Do a look to a still, movie or numbered sequence.")
final class ApplyCommand implements Runnable {
    @Spec private CommandSpec spec;

    @Parameters(
            paramLabel = "INPUT",
            description = "A still, a movie, a vector graphic, or shot-%%04d.png.")
    private Path input;

    @Mixin private LookOptions look;

    @Mixin private InputOptions reading;

    @Mixin private OutputOptions output;

    @Override
    public void run() {
        output.export(
                Import.project(reading.source(input), look.set(spec.commandLine())),
                look.files(),
                1,
                spec.commandLine().getErr());
    }
}
