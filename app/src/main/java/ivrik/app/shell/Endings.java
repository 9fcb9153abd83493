package ivrik.app.shell;

import ivrik.app.sheet.Sheets;
import ivrik.app.sheet.Sheets.Choice;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Consumer;

/** Files that get the ending which they were chosen without. */
final class Endings {
    private Endings() {}

    /** The file with an ending, if it has it not yet. */
    static Path with(Path chosen, String ending) {
        String name = chosen.getFileName().toString();
        return name.endsWith(ending) ? chosen : chosen.resolveSibling(name + ending);
    }

    /** Whether there is a file of the name with its ending, about which nobody has been asked yet. */
    static boolean isTaken(Path chosen, Path file) {
        return !file.equals(chosen) && Files.exists(file);
    }

    /**
     * Goes on with a file; where its ending was added and there is such a file, nobody has been asked yet
     * whether that may be replaced, so it is asked now.
     *
     * @param chosen as it was chosen
     * @param file as it is to be called
     */
    static void unlessTaken(Path chosen, Path file, Sheets sheets, Consumer<Path> then) {
        if (!isTaken(chosen, file)) {
            then.accept(file);
            return;
        }
        sheets.ask(
                file.getFileName() + " is there already",
                "Shall it be replaced?",
                List.of(
                        new Choice("Leave it", () -> {}),
                        new Choice("Replace it", () -> then.accept(file))));
    }
}
