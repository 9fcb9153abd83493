package ivrik.cli;

import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Spec;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;

/** Runs parts of the commands and the window while a class cache is recorded. */
@Command(
        name = "rehearse",
        hidden = true,
        description = "Runs a little of each command and the window, to fill the class cache.")
final class RehearseCommand implements Callable<Integer> {
    @Spec private CommandSpec spec;

    @Override
    public Integer call() throws IOException {
        Path demo = Path.of(System.getProperty("ivrik.home", "."), "demo/lantern-week");
        Path folder = Files.createTempDirectory("ivrik-rehearsal");
        Path film = folder.resolve("film.mp4");
        Path split = folder.resolve("split.mkv");
        Path still = folder.resolve("still.png");
        try {
            does("--help");
            does("looks");
            does(
                    "render",
                    demo + "/lantern-week.ivrik",
                    "--frames=0-1",
                    "--scale=0.25",
                    "-o",
                    film);
            does("apply", "--look=channel-blur", film, "-o", split);
            does("apply", "--look=rgb-split", split, "--frames=0-0", "-o", still);
            does("info", still);
        } finally {
            for (Path made : List.of(film, split, still, folder)) {
                Files.deleteIfExists(made);
            }
        }
        PrintWriter out = spec.commandLine().getOut();
        return Ivrik.run(out, spec.commandLine().getErr(), "demo");
    }

    /** Runs a command; its output is shown only if it fails. */
    private static void does(Object... arguments) {
        String[] line = List.of(arguments).stream().map(Object::toString).toArray(String[]::new);
        StringWriter said = new StringWriter();
        PrintWriter writer = new PrintWriter(said, true);
        if (Ivrik.run(writer, writer, line) != 0) {
            throw new IllegalStateException(String.join(" ", line) + ": " + said);
        }
    }
}
