package ivrik.cli;

import ivrik.core.threads.Cancel;
import ivrik.core.threads.Workers;
import ivrik.media.encode.SharedExport;

import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

import java.nio.file.Path;

@Command(
        name = "join",
        mixinStandardHelpOptions = true,
        description = "Put the parts of a movie together that 'render --part' has left.")
final class JoinCommand implements Runnable {
    @Spec private CommandSpec spec;

    @Parameters(paramLabel = "PARTS", description = "The folder OUT.parts.")
    private Path parts;

    @Option(
            names = {"-o", "--out"},
            required = true,
            paramLabel = "OUT",
            description = "The movie, in the form that was rendered.")
    private Path out;

    @Mixin private Overwriting overwriting;

    @Override
    public void run() {
        SharedExport.join(parts, out, overwriting.allowed, Workers.shared(), Cancel.NEVER)
                .forEach(word -> spec.commandLine().getErr().println("ivrik: note: " + word));
    }
}
