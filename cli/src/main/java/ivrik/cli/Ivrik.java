package ivrik.cli;

import ivrik.core.IvrikException;
import ivrik.core.Version;
import ivrik.core.cache.NotEnoughMemoryException;
import ivrik.media.ffmpeg.FfmpegPreload;
import ivrik.media.file.UserFolder;

import org.slf4j.LoggerFactory;

import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.IVersionProvider;
import picocli.CommandLine.Parameters;

import java.io.File;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.spi.ToolProvider;
import java.util.stream.Stream;

/** The command {@code ivrik}: opens the window or runs a subcommand. */
@Command(
        name = "ivrik",
        versionProvider = Ivrik.VersionLine.class,
        mixinStandardHelpOptions = true,
        description = "Separates colour channels, treats each, and rejoins them.",
        synopsisSubcommandLabel = "[COMMAND]",
        addMethodSubcommands = false,
        footer = {
            "",
            "Without a command, the window opens. Exit codes: 0 success, 1 failure, 2"
                    + " wrong usage."
        })
public final class Ivrik implements Callable<Integer> {
    /** Subcommands, in the order of the help text. */
    private static final List<Class<?>> COMMANDS =
            List.of(
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
                    CheckCommand.class,
                    RehearseCommand.class);

    /** Text of {@code --version}. */
    static final class VersionLine implements IVersionProvider {
        @Override
        public String[] getVersion() {
            return new String[] {Version.NAME};
        }
    }

    @Parameters(arity = "0..*", hidden = true)
    private String[] files = {};

    @Override
    public Integer call() {
        return Window.run(files);
    }

    @Command(
            name = "demo",
            description =
                    "Open the demo project; without a display, write a picture of the window.")
    int demo() {
        return Window.run("--demo");
    }

    @Command(
            name = "screenshots",
            description = "Write the pictures of docs/screenshots from the demo.")
    int screenshots(
            @Parameters(arity = "0..1", defaultValue = "docs/screenshots", paramLabel = "DIR")
                    String folder) {
        return Window.run("--screenshots", folder);
    }

    public static void main(String[] args) {
        unpackIntoOurFolder();
        System.setProperty("java.awt.headless", "true"); // the parts of AWT in use need no display
        System.exit(
                run(new PrintWriter(System.out, true), new PrintWriter(System.err, true), args));
    }

    /**
     * Sets the folder for native libraries: Ivrik's cache folder, unless configured. Each library has its own
     * folder, because both lock a file in it and Java refuses a process two locks on one file.
     */
    static void unpackIntoOurFolder() {
        Path natives = Path.of(logFile()).resolveSibling("natives");
        unpackInto("org.bytedeco.javacpp.cachedir", natives);
        unpackInto("javafx.cachedir", natives.resolve("javafx"));
    }

    private static void unpackInto(String property, Path folder) {
        if (System.getProperty(property) == null) {
            System.setProperty(property, folder.toString());
        }
    }

    /** Runs a command line; returns its exit code. */
    public static int run(PrintWriter out, PrintWriter err, String... args) {
        System.setProperty("ivrik.log", logFile());
        try {
            Optional<String[]> plain = plainStart(args);
            if (plain.isPresent()) {
                return Window.run(plain.get());
            }
            if (Stream.of(args).anyMatch(Ivrik::isPlainlyAFile)) {
                FfmpegPreload.begin(); // needed right after the command line is parsed
            }
            return FormerOptions.refusedBy(commandLine(args))
                    .setOut(out)
                    .setErr(err)
                    .setCaseInsensitiveEnumValuesAllowed(true)
                    .setExecutionExceptionHandler((fault, c, parsed) -> failed(fault, err, args))
                    .execute(args);
        } catch (OutOfMemoryError e) {
            return failed(new NotEnoughMemoryException(e), err, args);
        } catch (RuntimeException e) {
            return failed(e, err, args);
        }
    }

    /**
     * Arguments of the window if nothing has to be parsed, as for a start from a menu, with the demo or with
     * files: parsing takes a tenth of the time to the first picture.
     */
    private static Optional<String[]> plainStart(String... args) {
        if (List.of(args).equals(List.of("demo"))) {
            return Optional.of(new String[] {"--demo"});
        }
        boolean filesOnly = Stream.of(args).allMatch(Ivrik::isPlainlyAFile);
        return filesOnly ? Optional.of(args) : Optional.empty();
    }

    /** Neither an option nor a command: those have no dot, file names do. */
    private static boolean isPlainlyAFile(String argument) {
        return !argument.startsWith("-")
                && !argument.startsWith("@")
                && argument.contains(".")
                && new File(argument).exists();
    }

    /**
     * With only the named subcommand, or none for files only: creating all of them takes longer than many of
     * them run. The help text needs all.
     */
    private static CommandLine commandLine(String... args) {
        List<String> arguments = List.of(args);
        List<Class<?>> named =
                COMMANDS.stream().filter(c -> arguments.indexOf(name(c)) == 0).toList();
        boolean anyOption = arguments.stream().anyMatch(w -> w.startsWith("-"));
        CommandLine line = new CommandLine(new Ivrik());
        (named.isEmpty() && anyOption ? COMMANDS : named).forEach(line::addSubcommand);
        line.getCommandSpec().addMethodSubcommands();
        return line;
    }

    private static String name(Class<?> command) {
        return command.getAnnotation(Command.class).name();
    }

    private static int failed(Exception fault, PrintWriter err, String... args) {
        LoggerFactory.getLogger(Ivrik.class).error("ivrik " + String.join(" ", args), fault);
        err.println("ivrik: " + message(fault));
        err.flush();
        return 1;
    }

    private static String message(Exception fault) {
        return fault instanceof IvrikException known
                ? known.oneLine()
                : "internal error in Ivrik (" + fault.getMessage() + "): see " + logFile();
    }

    private static String logFile() {
        try {
            return UserFolder.data().resolve("ivrik.log").toString();
        } catch (IvrikException e) {
            return System.getProperty("java.io.tmpdir") + "/ivrik.log";
        }
    }

    /** The window is in another module and is found as a tool of this process. */
    static final class Window {
        private Window() {}

        static int run(String... args) {
            return ToolProvider.findFirst("ivrik-window")
                    .map(tool -> tool.run(System.out, System.err, args))
                    .orElseThrow(() -> new IllegalStateException("this build has no window"));
        }
    }
}
