package ivrik.cli;

import ivrik.cli.farm.FarmFolder;

import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.concurrent.Callable;

@Command(
        name = "farm-part",
        hidden = true,
        description = "Render one part of a farm job, or join the parts.")
final class FarmPartCommand implements Callable<Integer> {
    @Spec private CommandSpec spec;

    @Parameters(index = "0", paramLabel = "FOLDER")
    private Path folder;

    @Parameters(index = "1", paramLabel = "K|join")
    private String which;

    @Override
    public Integer call() {
        PrintWriter out = spec.commandLine().getOut();
        FarmFolder farm = FarmFolder.open(folder.toAbsolutePath());
        return farm.run(which, (said, words) -> Ivrik.run(out, said, words));
    }
}
