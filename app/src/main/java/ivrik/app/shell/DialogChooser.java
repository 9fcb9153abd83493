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
import java.util.Locale;
import java.util.Optional;

/** The platform's file dialogs. Each opens in the folder last used for its purpose. */
final class DialogChooser implements Chooser {
    private static final ExtensionFilter PROJECTS =
            new ExtensionFilter("Ivrik projects", "*" + ProjectFile.ENDING);
    private static final String PROJECT = Saved.PROJECT.name().toLowerCase(Locale.ROOT);
    private static final String FOOTAGE = "footage";
    private static final String EXPORT = "export";
    private static final String FOLDER = "folder";
    private static final ExtensionFilter ALL = new ExtensionFilter("All files", "*.*");

    private final Window window;
    private final SavedPreferences remembered;

    DialogChooser(Window window, SavedPreferences remembered) {
        this.window = window;
        this.remembered = remembered;
    }

    private FileChooser chooser(String purpose, String title, ExtensionFilter... filters) {
        FileChooser chooser = chooser(title, filters);
        lastFolder(purpose).ifPresent(chooser::setInitialDirectory);
        return chooser;
    }

    private Optional<File> lastFolder(String purpose) {
        return remembered.get().folder(purpose).map(Path::toFile);
    }

    /** Remembers the folder of a chosen file for the next dialog with this purpose. */
    private Path used(String purpose, Path chosen) {
        if (chosen != null && chosen.getParent() != null) {
            remembered.change(p -> p.withFolder(purpose, chosen.getParent()));
        }
        return chosen;
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
        FileChooser chooser = chooser(PROJECT, "Open project", PROJECTS, ALL);
        return used(PROJECT, path(chooser.showOpenDialog(window)));
    }

    @Override
    public List<Path> footage() {
        FileChooser chooser = chooser(FOOTAGE, "Import footage", ALL);
        List<File> files = chooser.showOpenMultipleDialog(window);
        if (files == null) {
            return List.of();
        }
        used(FOOTAGE, files.getFirst().toPath());
        return files.stream().map(File::toPath).toList();
    }

    @Override
    public Path oneSource(String name) {
        FileChooser chooser = chooser(FOOTAGE, "Relink " + name, ALL);
        return used(FOOTAGE, path(chooser.showOpenDialog(window)));
    }

    @Override
    public Path toSave(Saved what, String name) {
        String purpose = what.name().toLowerCase(Locale.ROOT);
        return save(purpose, what.title(), what.files(), what.ending(), name + what.ending());
    }

    @Override
    public Path folder(String title) {
        DirectoryChooser chooser = new DirectoryChooser();
        chooser.setTitle(title);
        lastFolder(FOLDER).ifPresent(chooser::setInitialDirectory);
        Path folder = path(chooser.showDialog(window));
        if (folder != null) {
            remembered.change(p -> p.withFolder(FOLDER, folder));
        }
        return folder;
    }

    @Override
    public Path exportTarget(ExportFormat format, String name) {
        return save(EXPORT, "Export to", format.title(), format.ending(), name);
    }

    private Path save(String purpose, String title, String files, String ending, String name) {
        FileChooser chooser =
                chooser(purpose, title, new ExtensionFilter(files, "*" + ending), ALL);
        chooser.setInitialFileName(name);
        return used(purpose, path(chooser.showSaveDialog(window)));
    }
}
