package ivrik.app.shell;

import ivrik.app.session.FileTasks;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.sheet.Sheets;
import ivrik.app.sheet.Sheets.Choice;
import ivrik.core.project.Project;
import ivrik.media.decode.Import;
import ivrik.media.encode.OutputFiles;
import ivrik.media.pack.ProjectPackage;
import ivrik.media.pack.Unpacking;

import javafx.application.Platform;

import java.nio.file.Path;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Supplier;

/** Packs and extracts projects off the interface thread. */
final class PackageActions {
    private static final String ENDING = ".zip";

    private final Session session;
    private final View view;
    private final Sheets sheets;
    private final Supplier<Chooser> chooser;
    private final Consumer<Path> open;
    private final FileTasks files = new FileTasks("ivrik-packing", Platform::runLater);

    /**
     * @param open opens a project
     */
    PackageActions(
            Session session,
            View view,
            Sheets sheets,
            Supplier<Chooser> chooser,
            Consumer<Path> open) {
        this.session = session;
        this.view = view;
        this.sheets = sheets;
        this.chooser = chooser;
        this.open = open;
    }

    /** Asks for a target and packs the project. */
    void pack() {
        Project project = session.project();
        Path chosen = chooser.get().toSave(Chooser.Saved.PACKAGE, project.name());
        if (chosen == null) {
            return;
        }
        FileExtensions.unlessTaken(
                chosen, FileExtensions.with(chosen, ENDING), sheets, zip -> pack(project, zip));
    }

    private void pack(Project project, Path zip) {
        view.notice.set("Packaging " + project.name() + "...");
        work(
                () -> {
                    ProjectPackage.write(project, Import.name(zip), zip);
                    return zip;
                },
                written -> view.notice.set("Project packaged: " + written),
                "Could not package " + project.name());
    }

    static boolean isPackage(Path file) {
        return file.getFileName().toString().endsWith(ENDING);
    }

    /** Asks, extracts beside the package, and opens the project. */
    void unpack(Path zip) {
        Path folder = OutputFiles.free(zip.resolveSibling(Import.name(zip)));
        sheets.ask(
                "Unpack " + zip.getFileName() + "?",
                "The project and its footage are unpacked into a new folder: " + folder + ".",
                List.of(
                        new Choice("Unpack and open", () -> unpack(zip, folder)),
                        new Choice("Cancel", () -> {})));
    }

    private void unpack(Path zip, Path folder) {
        view.notice.set("Unpacking " + zip.getFileName() + " ...");
        work(
                () -> Unpacking.into(zip, folder),
                project -> {
                    view.notice.set("");
                    open.accept(project);
                },
                "Could not unpack " + zip.getFileName());
    }

    private void work(Supplier<Path> work, Consumer<Path> then, String failed) {
        files.run(
                work,
                then,
                fault -> {
                    view.notice.set("");
                    sheets.report(failed, fault.oneLine());
                });
    }
}
