package ivrik.app.shell;

import ivrik.media.encode.Form;
import ivrik.media.file.LookLibrary;
import ivrik.media.file.ProjectFile;
import ivrik.media.sound.WavFile;

import javafx.stage.FileChooser;
import javafx.stage.FileChooser.ExtensionFilter;
import javafx.stage.Window;

import java.io.File;
import java.nio.file.Path;
import java.util.List;

/** The platform's own file dialogs. */
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
        return path(chooser("Open a project", PROJECTS, ALL).showOpenDialog(window));
    }

    @Override
    public Path projectToSave(String name) {
        FileChooser chooser = chooser("Save the project", PROJECTS);
        chooser.setInitialFileName(name + ProjectFile.ENDING);
        return path(chooser.showSaveDialog(window));
    }

    @Override
    public List<Path> footage() {
        List<File> files = chooser("Bring in footage", ALL).showOpenMultipleDialog(window);
        return files == null ? List.of() : files.stream().map(File::toPath).toList();
    }

    @Override
    public Path oneSource(String name) {
        return path(chooser("Where is " + name + "?", ALL).showOpenDialog(window));
    }

    @Override
    public Path picture(String name) {
        FileChooser chooser = chooser("Save a picture", new ExtensionFilter("PNG", "*.png"));
        chooser.setInitialFileName(name);
        return path(chooser.showSaveDialog(window));
    }

    @Override
    public Path lookToSave(String name) {
        FileChooser chooser =
                chooser("Save the look", new ExtensionFilter("Ivrik looks", "*.look.json"));
        chooser.setInitialFileName(name + LookLibrary.ENDING);
        return path(chooser.showSaveDialog(window));
    }

    @Override
    public Path packageToSave(String name) {
        FileChooser chooser =
                chooser("Pack with all footage", new ExtensionFilter("Packages", "*.zip"));
        chooser.setInitialFileName(name + ".zip");
        return path(chooser.showSaveDialog(window));
    }

    @Override
    public Path soundToSave(String name) {
        FileChooser chooser =
                chooser("Save the sound", new ExtensionFilter("WAV", "*" + WavFile.ENDING));
        chooser.setInitialFileName(name + WavFile.ENDING);
        return path(chooser.showSaveDialog(window));
    }

    @Override
    public Path exportTarget(Form form, String name) {
        FileChooser chooser =
                chooser("Export to", new ExtensionFilter(form.title(), "*" + form.ending()));
        chooser.setInitialFileName(name);
        return path(chooser.showSaveDialog(window));
    }
}
