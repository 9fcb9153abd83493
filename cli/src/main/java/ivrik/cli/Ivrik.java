package ivrik.cli;

import ivrik.core.IvrikException;
import ivrik.core.Version;
import ivrik.core.cache.NoRoomException;
import ivrik.media.file.UserFolder;

import org.slf4j.LoggerFactory;

import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.IVersionProvider;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.List;
import java.util.spi.ToolProvider;

/** The command {@code ivrik}: the window, or one of the subcommands. */
@Command(
        name = "ivrik",
        versionProvider = Ivrik.VersionLine.class,
        mixinStandardHelpOptions = true,
        description = "Colour channels taken apart, moved, and put back together.",
        synopsisSubcommandLabel = "[COMMAND]",
        subcommands = {
            InfoCommand.class,
            LooksCommand.class,
            TreatmentsCommand.class,
            ApplyCommand.class,
            LensCommand.class,
            CubeCommand.class,
            SeparateCommand.class,
            RejoinCommand.class,
            RenderCommand.class,
            JoinCommand.class,
            FarmCommand.class,
            FarmPartCommand.class,
            PackCommand.class,
            UnpackCommand.class,
            CheckCommand.class
        },
        footer = {
            "",
            "Without a command the window opens. Exit: 0 done, 1 could not, 2 wrong usage."
        })
public final class Ivrik implements Runnable {
    /** What {@code --version} says. */
    static final class VersionLine implements IVersionProvider {
        @Override
        public String[] getVersion() {
            return new String[] {Version.NAME};
        }
    }

    @Spec private CommandSpec spec;

    @Parameters(arity = "0..*", hidden = true)
    private String[] files = {};

    @Override
    public void run() {
        int exit = Window.run(files);
        if (exit != 0) {
            throw new CommandLine.ExecutionException(
                    spec.commandLine(), "the window ended with " + exit);
        }
    }

    @Command(
            name = "demo",
            description = "The window with the demo project; without a display, a picture of it.")
    int demo() {
        return Window.run("--demo");
    }

    @Command(
            name = "screenshots",
            description = "The pictures of docs/screenshots, made from the demo.")
    int screenshots(
            @Parameters(arity = "0..1", defaultValue = "docs/screenshots", paramLabel = "DIR")
                    String folder) {
        return Window.run("--screenshots", folder);
    }

    public static void main(String[] args) {
        unpackIntoOurFolder();
        System.exit(
                run(new PrintWriter(System.out, true), new PrintWriter(System.err, true), args));
    }

    /** Where libraries put the parts of them that are not Java: with what else is ours, unless they are told. */
    private static void unpackIntoOurFolder() {
        for (String library : List.of("org.bytedeco.javacpp.cachedir", "javafx.cachedir")) {
            if (System.getProperty(library) == null) {
                Path natives = Path.of(logFile()).resolveSibling("natives");
                System.setProperty(library, natives.toString());
            }
        }
    }

    /** Runs a command line; returns its exit code. */
    public static int run(PrintWriter out, PrintWriter err, String... args) {
        System.setProperty("ivrik.log", logFile());
        try {
            return new CommandLine(new Ivrik())
                    .setOut(out)
                    .setErr(err)
                    .setCaseInsensitiveEnumValuesAllowed(true)
                    .setExecutionExceptionHandler((fault, c, parsed) -> failed(fault, err, args))
                    .execute(args);
        } catch (OutOfMemoryError e) {
            return failed(new NoRoomException(e), err, args);
        }
    }

    private static int failed(Exception fault, PrintWriter err, String... args) {
        LoggerFactory.getLogger(Ivrik.class).error("ivrik " + String.join(" ", args), fault);
        err.println("ivrik: " + word(fault));
        err.flush();
        return 1;
    }

    private static String word(Exception fault) {
        return fault instanceof IvrikException known
                ? known.oneLine()
                : "something went wrong inside Ivrik ("
                        + fault.getMessage()
                        + "): see "
                        + logFile();
    }

    private static String logFile() {
        try {
            return UserFolder.data().resolve("ivrik.log").toString();
        } catch (IvrikException e) {
            return System.getProperty("java.io.tmpdir") + "/ivrik.log";
        }
    }

    /** The window lives in another module and is found as a tool of this process. */
    static final class Window {
        private Window() {}

        static int run(String... args) {
            return ToolProvider.findFirst("ivrik-window")
                    .map(tool -> tool.run(System.out, System.err, args))
                    .orElseThrow(
                            () ->
                                    new IllegalStateException(
                                            "the window is not part of this build"));
        }
    }
}
