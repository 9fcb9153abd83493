package ivrik.app.shell;

import ivrik.app.session.ProjectPreload;
import ivrik.app.theme.Fonts;
import ivrik.media.ffmpeg.FfmpegPreload;
import ivrik.media.file.UserFolder;

import javafx.application.Application;
import javafx.application.Platform;
import javafx.stage.Stage;

import org.slf4j.LoggerFactory;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** The JavaFX application: opens the window with the arguments of the command line. */
public final class IvrikApp extends Application {
    private static final String DEMO = "--demo";

    /** Whether there is no display. */
    private static volatile boolean headless;

    /** Exit code after the window has closed. */
    public static volatile int exit;

    /**
     * Opens the window; returns after it has closed.
     *
     * @param withoutDisplay whether only pictures of the window are made
     */
    public static void run(boolean withoutDisplay, String... args) {
        headless = withoutDisplay;
        if (!headless) {
            ToolkitMessages.intoTheLog();
        }
        ThreadPriorities.install();
        FfmpegPreload.begin();
        projectIn(args).ifPresent(ProjectPreload::begin);
        launch(IvrikApp.class, args);
    }

    /** The project to start with. */
    private static Optional<Path> projectIn(String... args) {
        return List.of(args).equals(List.of(DEMO))
                ? Optional.of(Demo.project())
                : IncomingFiles.project(Stream.of(args).map(Path::of).toList());
    }

    @Override
    public void start(Stage stage) {
        Thread.currentThread()
                .setUncaughtExceptionHandler(
                        (t, e) ->
                                LoggerFactory.getLogger(IvrikApp.class).error("in the window", e));
        Fonts.load();
        List<String> args = getParameters().getRaw();
        if (headless) {
            Screenshots shots = new Screenshots();
            Runnable end = Platform::exit;
            if (args.getFirst().equals("--screenshots")) {
                shots.all(Path.of(args.get(1)), end);
            } else {
                shots.demo(Path.of("ivrik-demo.png"), end);
            }
            return;
        }
        MainWindow window = new MainWindow(stage, UserFolder.data());
        window.restorePlace();
        stage.show();
        if (args.contains(DEMO)) {
            window.openDemo();
        } else if (!args.isEmpty()) {
            window.startWith(args.stream().map(Path::of).toList());
        } else {
            window.firstStart(Demo.project());
        }
    }
}
