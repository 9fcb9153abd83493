package ivrik.proof;

import javafx.scene.input.KeyCode;

import java.nio.file.Path;

/**
 * A window and a hand that nudges the first lane to the right every so often, until the process is
 * killed: {@code Hand DATA FILE PAUSE_MS}. Each nudge is said with its time, in milliseconds since 1970.
 */
public final class Hand {
    static final String NUDGED = "nudged ";

    private Hand() {}

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
