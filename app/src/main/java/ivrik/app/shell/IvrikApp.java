package ivrik.app.shell;

import ivrik.app.theme.Fonts;
import ivrik.media.ffmpeg.Ffmpeg;
import ivrik.media.file.UserFolder;

import javafx.application.Application;
import javafx.application.Platform;
import javafx.stage.Stage;

import org.slf4j.LoggerFactory;

import java.nio.file.Path;
import java.util.List;

/** The JavaFX application: makes the window and gives it what the command line named. */
public final class IvrikApp extends Application {
    /** Whether there is no display. */
    private static volatile boolean headless;

    /** The exit code when the window has closed. */
    public static volatile int exit;

    /**
     * Opens the window; comes back when it has closed.
     *
     * @param withoutDisplay whether only pictures of it are made
     */
    public static void run(boolean withoutDisplay, String... args) {
        headless = withoutDisplay;
        if (!headless) {
            ToolkitWords.intoTheLog();
        }
        GivingWay.install();
        Ffmpeg.loadAside();
        launch(IvrikApp.class, args);
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
            Shots shots = new Shots();
            Runnable end = Platform::exit;
            if (args.getFirst().equals("--screenshots")) {
                shots.all(Path.of(args.get(1)), end);
            } else {
                shots.demo(Path.of("ivrik-demo.png"), end);
            }
            return;
        }
        MainWindow window = new MainWindow(stage, UserFolder.data());
        stage.show();
        if (args.contains("--demo")) {
            window.openDemo();
        } else if (!args.isEmpty()) {
            window.startWith(args.stream().map(Path::of).toList());
        } else {
            window.firstStart();
        }
    }
}
