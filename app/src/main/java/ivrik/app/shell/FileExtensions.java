package ivrik.app.shell;

import ivrik.app.session.OwnLooks;
import ivrik.app.session.View;
import ivrik.app.sheet.Sheets;
import ivrik.app.sheet.Sheets.Choice;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Consumer;

/** Adds missing extensions to chosen file names. */
final class FileExtensions {
    private FileExtensions() {}

    /** The file with an extension, unless it has it. */
    static Path with(Path chosen, String ending) {
        String name = chosen.getFileName().toString();
        return name.endsWith(ending) ? chosen : chosen.resolveSibling(name + ending);
    }

    /**
     * Whether adding the extension gave the name of an existing file, which the dialog did not ask about.
     */
    static boolean isTaken(Path chosen, Path file) {
        return !file.equals(chosen) && Files.exists(file);
    }

    /**
     * Writes a file off the interface thread and then says so. Asks first if adding the extension gave the name
     * of an existing file.
     *
     * @param chosen the chosen file
     * @param file the file with its extension
     * @param writer writes the file
     */
    static void save(
            Path chosen, Path file, Sheets sheets, OwnLooks own, View view, Consumer<Path> writer) {
        unlessTaken(
                chosen,
                file,
                sheets,
                to ->
                        own.work(
                                () -> {
                                    writer.accept(to);
                                    return to;
                                },
                                saved -> view.notice.set("Saved: " + saved)));
    }

    /**
     * Continues with a file. Asks first if adding the extension gave the name of an existing file.
     *
     * @param chosen the chosen file
     * @param file the file with its extension
     */
    static void unlessTaken(Path chosen, Path file, Sheets sheets, Consumer<Path> then) {
        if (!isTaken(chosen, file)) {
            then.accept(file);
            return;
        }
        sheets.ask(
                file.getFileName() + " already exists",
                "Replace the existing file?",
                List.of(
                        new Choice("Cancel", () -> {}),
                        new Choice("Replace", () -> then.accept(file))));
    }
}
