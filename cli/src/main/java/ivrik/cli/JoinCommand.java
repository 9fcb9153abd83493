package ivrik.cli;

import ivrik.core.threads.Cancellation;
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
        description = "Join the movie parts written by 'render --part'.")
final class JoinCommand implements Runnable {
    @Spec private CommandSpec spec;

    @Parameters(paramLabel = "PARTS", description = "The folder OUT.parts.")
    private Path parts;

    @Option(
            names = {"-o", "--out"},
            required = true,
            paramLabel = "OUT",
            description = "Movie to write, in the format of its parts.")
    private Path out;

    @Mixin private OverwriteOption overwriting;

    @Override
    public void run() {
        SharedExport.join(parts, out, overwriting.allowed, Workers.shared(), Cancellation.NEVER)
                .forEach(word -> spec.commandLine().getErr().println("ivrik: note: " + word));
    }
}
