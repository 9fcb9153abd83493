package ivrik.proof;

import javafx.scene.input.KeyCode;

import java.nio.file.Path;

/**
 * A window with simulated input that nudges the first channel to the right at intervals until the process is
 * killed: {@code InputDriver DATA FILE PAUSE_MS}. Prints the time of each nudge in milliseconds since 1970.
 */
public final class InputDriver {
    static final String NUDGED = "nudged ";

    private InputDriver() {}

    public static void main(String[] args) {
        Windowed.run(
                Path.of(args[0]),
                Path.of(args[1]),
                window -> {
                    while (true) {
                        Thread.sleep(Long.parseLong(args[2]));
                        window.key(KeyCode.RIGHT);
                        System.out.println(NUDGED + System.currentTimeMillis());
                    }
                });
    }
}
