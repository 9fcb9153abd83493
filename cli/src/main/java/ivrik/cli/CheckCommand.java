package ivrik.cli;

import ivrik.core.IvrikException;
import ivrik.core.json.LookJson;
import ivrik.core.json.ProjectJson;
import ivrik.core.project.Source;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Footage;
import ivrik.media.file.LookLibrary;
import ivrik.media.file.ProjectFile;

import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;

@Command(
        name = "check",
        mixinStandardHelpOptions = true,
        description = "Check a project or a look and list all problems.")
final class CheckCommand implements Callable<Integer> {
    @Spec private CommandSpec spec;

    @Parameters(paramLabel = "PROJECT|LOOK")
    private Path file;

    @Override
    public Integer call() {
        List<String> problems = new ArrayList<>();
        String text = ProjectFile.text(file);
        if (LookJson.isLook(text)) {
            problems.addAll(LookLibrary.read(file).problems());
        } else {
            ProjectJson.Reading reading = ProjectFile.parse(text, file);
            problems.addAll(reading.problems());
            reading.project().sources().stream()
                    .filter(s -> s.kind().isFile())
                    .forEach(s -> checkSource(s, problems));
        }
        var out = spec.commandLine().getOut();
        problems.forEach(out::println);
        out.println(
                problems.isEmpty()
                        ? "no problems found in " + file
                        : problems.size()
                                + (problems.size() == 1 ? " problem" : " problems")
                                + " found in "
                                + file);
        return problems.isEmpty() ? 0 : 1;
    }

    private static void checkSource(Source source, List<String> problems) {
        try (Footage footage =
                Footage.open(Path.of(source.path()), source.settings(), Workers.shared())) {
            if (footage.frames() < source.frames()) {
                problems.add(
                        "source "
                                + source.name()
                                + ": expected "
                                + source.frames()
                                + " frames, the file has "
                                + footage.frames());
            }
        } catch (IvrikException e) {
            problems.add("source " + source.name() + ": " + e.oneLine());
        }
    }
}
