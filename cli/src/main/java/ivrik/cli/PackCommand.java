package ivrik.cli;

import ivrik.core.project.Project;
import ivrik.media.decode.Import;
import ivrik.media.pack.ProjectPackage;

import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

import java.nio.file.Path;
import java.util.List;

@Command(
        name = "pack",
        mixinStandardHelpOptions = true,
        description = "Package a project with its footage in one zip file.")
final class PackCommand implements Runnable {
    @Parameters(paramLabel = "PROJECT")
    private Path file;

    @Option(
            names = {"-o", "--out"},
            required = true,
            paramLabel = "FILE.zip")
    private Path out;

    @Mixin private OverwriteOption overwriting;

    @Override
    public void run() {
        Project project = InputFiles.project(file);
        overwriting.check(List.of(out), List.of(file));
        ProjectPackage.write(project, Import.name(file), out);
    }
}
