package ivrik.cli;

import ivrik.core.IvrikException;
import ivrik.core.Version;
import ivrik.core.cache.NoRoomException;
import ivrik.media.ffmpeg.LoadedAside;
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

/** The command {@code ivrik}: the window, or one of the subcommands. */
@Command(
        name = "ivrik",
        versionProvider = Ivrik.VersionLine.class,
        mixinStandardHelpOptions = true,
        description = "Colour channels taken apart, moved, and put back together.",
        synopsisSubcommandLabel = "[COMMAND]",
        addMethodSubcommands = false,
        footer = {
            "",
            "Without a command the window opens. Exit: 0 done, 1 could not, 2 wrong usage."
        })
public final class Ivrik implements Callable<Integer> {
    /** The subcommands that have a class of their own, in the order of the help text. */
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

    /** What {@code --version} says. */
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
        System.setProperty(
                "java.awt.headless", "true"); // what is used of that toolkit needs no display
        System.exit(
                run(new PrintWriter(System.out, true), new PrintWriter(System.err, true), args));
    }

    /**
     * Where libraries put the parts of them that are not Java: with what else is ours, unless they are told. Each has
     * a folder of its own: both lock a file in it, and Java refuses a process its second lock of one file.
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
                LoadedAside.begin(); // it is read as soon as the words are
            }
            return commandLine(args)
                    .setOut(out)
                    .setErr(err)
                    .setCaseInsensitiveEnumValuesAllowed(true)
                    .setExecutionExceptionHandler((fault, c, parsed) -> failed(fault, err, args))
                    .execute(args);
        } catch (OutOfMemoryError e) {
            return failed(new NoRoomException(e), err, args);
        } catch (RuntimeException e) {
            return failed(e, err, args);
        }
    }

    /**
     * What the window is told where nothing needs to be parsed, as when it is started from a menu, for the demo or with
     * files: parsing takes a tenth of the time until the first picture.
     */
    private static Optional<String[]> plainStart(String... args) {
        if (List.of(args).equals(List.of("demo"))) {
            return Optional.of(new String[] {"--demo"});
        }
        boolean filesOnly = Stream.of(args).allMatch(Ivrik::isPlainlyAFile);
        return filesOnly ? Optional.of(args) : Optional.empty();
    }

    /** No option and no command: those have no dot, and files of ours have one. */
    private static boolean isPlainlyAFile(String word) {
        return !word.startsWith("-")
                && !word.startsWith("@")
                && word.contains(".")
                && new File(word).exists();
    }

    /**
     * With the subcommand that is named, or none where there are files only: to make all of them, which a help text
     * shows, takes longer than many of them run.
     */
    private static CommandLine commandLine(String... args) {
        List<String> words = List.of(args);
        List<Class<?>> named = COMMANDS.stream().filter(c -> words.indexOf(name(c)) == 0).toList();
        boolean anyOption = words.stream().anyMatch(w -> w.startsWith("-"));
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
