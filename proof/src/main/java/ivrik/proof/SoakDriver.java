package ivrik.proof;

import javafx.scene.input.KeyCode;

import java.nio.file.Path;
import java.util.List;

/**
 * A window with simulated input for a number of seconds: edits, undo, frames, channels and playback.
 * {@code SoakDriver DATA FILE SECONDS}.
 */
public final class SoakDriver {
    private static final int EDITS = 60;
    private static final int PLAYING_MS = 6000;
    private static final List<KeyCode> KEYS =
            List.of(
                    KeyCode.RIGHT,
                    KeyCode.UP,
                    KeyCode.DIGIT2,
                    KeyCode.LEFT,
                    KeyCode.PERIOD,
                    KeyCode.RIGHT,
                    KeyCode.DOWN,
                    KeyCode.DIGIT3,
                    KeyCode.PERIOD,
                    KeyCode.DIGIT1);

    private SoakDriver() {}

    public static void main(String[] args) {
        Windowed.run(Path.of(args[0]), Path.of(args[1]), w -> work(w, Long.parseLong(args[2])));
    }

    private static void work(Windowed window, long seconds) throws Exception {
        long end = System.nanoTime() + seconds * 1_000_000_000L;
        while (System.nanoTime() < end) {
            for (int i = 0; i < EDITS; i++) {
                window.key(KEYS.get(i % KEYS.size()));
                Thread.sleep(60);
            }
            window.settle();
            for (int i = 0; i < EDITS / 4; i++) {
                window.key(KeyCode.CONTROL, KeyCode.Z);
            }
            window.key(KeyCode.SPACE);
            Thread.sleep(PLAYING_MS);
            window.key(KeyCode.SPACE);
        }
        System.exit(0);
    }
}
