package ivrik.app.shell;

import ivrik.app.session.Preferences;

import javafx.scene.input.KeyCode;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.concurrent.locks.LockSupport;

/**
 * Measures the memory of the process during long work with a given picture budget: edits, undo, playing,
 * frame changes. {@code bench/memory} runs the program. Not a test.
 */
final class MemoryMeter {
    private static final int EDITS = 100;

    private MemoryMeter() {}

    /**
     * @param args minutes, and the budget in megabytes
     */
    public static void main(String[] args) throws IOException {
        double minutes = Double.parseDouble(args[0]);
        int budget = Integer.parseInt(args[1]);
        Path data = Files.createTempDirectory("ivrik-memory");
        Preferences.load(data).withMemoryMb(budget).save(data);
        Driver d = new Driver(data);
        Driver.run(() -> d.window.session().open(InterfaceMeter.project()));
        d.settle();
        long began = System.nanoTime();
        for (int turn = 0; System.nanoTime() - began < minutes * 60e9; turn++) {
            long frame = turn * 97L % 600;
            Driver.run(() -> d.window.view().frame.set(frame));
            InterfaceMeter.work(d, EDITS);
            for (int i = 0; i < EDITS / 4; i++) {
                d.key(KeyCode.CONTROL, KeyCode.Z);
            }
            Driver.run(() -> d.window.view().playing.set(true));
            LockSupport.parkNanos(8_000_000_000L);
            Driver.run(() -> d.window.view().playing.set(false));
            System.out.printf(
                    Locale.ROOT,
                    "%5.1f min: %4d MB now, %4d MB at most, %4d MB of heap in use%n",
                    (System.nanoTime() - began) / 60e9,
                    megabytes("VmRSS:"),
                    megabytes("VmHWM:"),
                    Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory() >> 20);
        }
        d.close();
        System.exit(0);
    }

    private static long megabytes(String what) throws IOException {
        return Files.readAllLines(Path.of("/proc/self/status")).stream()
                .filter(line -> line.startsWith(what))
                .mapToLong(line -> Long.parseLong(line.replaceAll("\\D", "")) >> 10)
                .findFirst()
                .orElse(0);
    }
}
