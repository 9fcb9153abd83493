package ivrik.cli;

import ivrik.media.pack.Unpacking;

import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

import java.nio.file.Path;

@Command(
        name = "unpack",
        mixinStandardHelpOptions = true,
        description = "Unpack a package into a new folder and print the path of the project.")
final class UnpackCommand implements Runnable {
    @Spec private CommandSpec spec;

    @Parameters(paramLabel = "FILE.zip")
    private Path zip;

    @Option(
            names = {"-o", "--out"},
            required = true,
            paramLabel = "DIR")
    private Path folder;

    @Override
    public void run() {
        spec.commandLine().getOut().println(Unpacking.into(zip, folder));
    }
}
