package ivrik.app.shell;

import ivrik.media.encode.ExportFormat;

import java.nio.file.Path;
import java.util.List;

/** Answers the file dialogs with preset paths. */
final class ChosenFiles implements Chooser {
    Path project;
    List<Path> footage = List.of();
    Path source;

    @Override
    public Path projectToOpen() {
        return project;
    }

    @Override
    public List<Path> footage() {
        return footage;
    }

    @Override
    public Path oneSource(String name) {
        return source;
    }

    @Override
    public Path toSave(Saved what, String name) {
        return project;
    }

    @Override
    public Path folder(String title) {
        return project;
    }

    @Override
    public Path exportTarget(ExportFormat format, String name) {
        return project;
    }
}
