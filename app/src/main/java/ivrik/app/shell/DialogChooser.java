package ivrik.app.shell;

import ivrik.media.encode.ExportFormat;
import ivrik.media.file.ProjectFile;

import javafx.stage.DirectoryChooser;
import javafx.stage.FileChooser;
import javafx.stage.FileChooser.ExtensionFilter;
import javafx.stage.Window;

import java.io.File;
import java.nio.file.Path;
import java.util.List;

/** The platform's file dialogs. */
final class DialogChooser implements Chooser {
    private static final ExtensionFilter PROJECTS =
            new ExtensionFilter("Ivrik projects", "*" + ProjectFile.ENDING);
    private static final ExtensionFilter ALL = new ExtensionFilter("All files", "*.*");

    private final Window window;

    DialogChooser(Window window) {
        this.window = window;
    }

    private static FileChooser chooser(String title, ExtensionFilter... filters) {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(title);
        chooser.getExtensionFilters().addAll(filters);
        return chooser;
    }

    private static Path path(File file) {
        return file == null ? null : file.toPath();
    }

    @Override
    public Path projectToOpen() {
        return path(chooser("Open project", PROJECTS, ALL).showOpenDialog(window));
    }

    @Override
    public List<Path> footage() {
        List<File> files = chooser("Import footage", ALL).showOpenMultipleDialog(window);
        return files == null ? List.of() : files.stream().map(File::toPath).toList();
    }

    @Override
    public Path oneSource(String name) {
        return path(chooser("Relink " + name, ALL).showOpenDialog(window));
    }

    @Override
    public Path toSave(Saved what, String name) {
        return save(what.title(), what.files(), what.ending(), name + what.ending());
    }

    @Override
    public Path folder(String title) {
        DirectoryChooser chooser = new DirectoryChooser();
        chooser.setTitle(title);
        return path(chooser.showDialog(window));
    }

    @Override
    public Path exportTarget(ExportFormat format, String name) {
        return save("Export to", format.title(), format.ending(), name);
    }

    private Path save(String title, String files, String ending, String name) {
        FileChooser chooser = chooser(title, new ExtensionFilter(files, "*" + ending), ALL);
        chooser.setInitialFileName(name);
        return path(chooser.showSaveDialog(window));
    }
}
