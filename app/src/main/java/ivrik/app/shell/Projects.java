package ivrik.app.shell;

import ivrik.app.session.Document;
import ivrik.app.session.Document.Access;
import ivrik.app.session.Document.Outcome;
import ivrik.app.session.RecoveryOffer;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.sheet.RecoveredWorkSheet;
import ivrik.app.sheet.Sheets;
import ivrik.app.sheet.Sheets.Choice;
import ivrik.core.IvrikException;
import ivrik.core.json.Differences;
import ivrik.core.project.Project;
import ivrik.media.file.ProjectFile;
import ivrik.media.file.ProjectLockedException;
import ivrik.media.file.RecoverableWork;

import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Supplier;

/** Opens and saves projects, with the questions and error messages. */
final class Projects {
    private static final Logger LOG = LoggerFactory.getLogger(Projects.class);
    private static final int MAX_DIFFERENCES = 12;

    private final Session session;
    private final View view;
    private final Document document;
    private final Sheets sheets;
    private final SavedPreferences remembered;
    private final Supplier<Chooser> chooser;
    private final Runnable opened;
    private final ReadOnlyBooleanWrapper opening = new ReadOnlyBooleanWrapper();

    /**
     * @param opened executed after another project was opened
     */
    Projects(
            Session session,
            View view,
            Document document,
            Sheets sheets,
            SavedPreferences remembered,
            Supplier<Chooser> chooser,
            Runnable opened) {
        this.session = session;
        this.view = view;
        this.document = document;
        this.sheets = sheets;
        this.remembered = remembered;
        this.chooser = chooser;
        this.opened = opened;
    }

    void startNew() {
        unlessUnsaved(
                () -> {
                    document.startNew();
                    fresh();
                });
    }

    /** Asks for a project and opens it. */
    void open() {
        Path chosen = chooser.get().projectToOpen();
        if (chosen != null) {
            open(chosen);
        }
    }

    /** Opens a project and offers recoverable work. */
    void open(Path file) {
        open(file, () -> {});
    }

    private void open(Path file, Runnable then) {
        unlessUnsaved(() -> openNow(file.toAbsolutePath(), Access.WORK, this::offer, then));
    }

    /** Whether a project is being read. */
    ReadOnlyBooleanProperty openingProperty() {
        return opening.getReadOnlyProperty();
    }

    private void openNow(
            Path file, Access access, Consumer<List<RecoveryOffer>> lost, Runnable then) {
        opening.set(true);
        view.notice.set("Opening " + file.getFileName() + "...");
        document.open(
                file,
                access,
                what -> {
                    opening.set(false);
                    fresh();
                    remembered.change(s -> s.withRecent(file));
                    if (!what.problems().isEmpty()) {
                        sheets.report(
                                file.getFileName() + " was opened with errors",
                                String.join("\n", what.problems())
                                        + "\n\n"
                                        + "The readable part was opened. The file does not change"
                                        + " until you save.");
                    }
                    lost.accept(what.lost());
                    then.run();
                },
                fault -> {
                    opening.set(false);
                    view.notice.set("");
                    if (fault instanceof ProjectLockedException held) {
                        held(file, held, then);
                    } else {
                        LOG.warn("open", fault);
                        sheets.report("Could not open " + file.getFileName(), fault.oneLine());
                    }
                });
    }

    private void held(Path file, ProjectLockedException held, Runnable then) {
        sheets.ask(
                file.getFileName() + " is already open",
                "In use by "
                        + held.holder().description()
                        + ". Two windows must not edit one project: each would overwrite the"
                        + " other's changes.",
                List.of(
                        new Choice(
                                "Open read-only", () -> openNow(file, Access.LOOK, l -> {}, then)),
                        new Choice("Open a copy", () -> openNow(file, Access.COPY, l -> {}, then)),
                        new Choice("Cancel", () -> {})));
    }

    /** Finds unnamed recoverable work and offers it. */
    void offerUnnamed() {
        document.unnamedLost(this::offer);
    }

    /** Mentions recoverable work without a question. */
    void mentionUnnamed() {
        document.unnamedLost(
                lost -> {
                    if (!lost.isEmpty()) {
                        view.notice.set(
                                "Unsaved work from an earlier run was recovered: File > Recovered"
                                        + " work...");
                    }
                });
    }

    /** Lists all recoverable work: unnamed, of this project and of recent ones. */
    void showRecoveredWork() {
        document.allLost(remembered.get().recent().stream().map(Path::of).toList(), this::show);
    }

    private void offer(List<RecoveryOffer> lost) {
        if (!lost.isEmpty()) {
            show(lost);
        }
    }

    private void show(List<RecoveryOffer> lost) {
        RecoveredWorkSheet sheet =
                new RecoveredWorkSheet(lost, document.journal(), keeping, sheets);
        sheets.show(sheet, sheet.first());
    }

    private final RecoveredWorkSheet.Actions keeping =
            new RecoveredWorkSheet.Actions() {
                @Override
                public void recover(RecoverableWork lost) {
                    Path project = lost.project().orElse(null);
                    if (project == null
                            || !project.equals(document.file()) && Files.isRegularFile(project)) {
                        unlessUnsaved(() -> takeFrom(lost, project));
                    } else {
                        unlessUnsaved(() -> takeNow(lost));
                    }
                }

                @Override
                public void discard(RecoverableWork lost) {
                    document.discard(
                            lost, fault -> failed("Could not discard the recovered work", fault));
                }
            };

    private void takeFrom(RecoverableWork lost, Path project) {
        if (project == null) {
            takeNow(lost);
        } else {
            openNow(project, Access.WORK, others -> {}, () -> takeNow(lost));
        }
    }

    private void takeNow(RecoverableWork lost) {
        document.recover(lost, this::fresh, fault -> failed("Could not recover the work", fault));
    }

    private void failed(String title, IvrikException fault) {
        LOG.warn(title, fault);
        sheets.report(title, fault.oneLine());
    }

    /** Shows another project as a new window would. */
    private void fresh() {
        view.startOver();
        opened.run();
    }

    /** Runs an action that would lose unsaved work, after asking. */
    void unlessUnsaved(Runnable action) {
        if (session.isSaved() || session.project().isEmpty()) {
            action.run();
            return;
        }
        sheets.ask(
                "Save changes to " + session.project().name() + "?",
                "Unsaved changes would be lost.",
                List.of(
                        new Choice("Save", () -> save(action)),
                        new Choice(
                                "Discard changes",
                                () -> {
                                    document.discard();
                                    action.run();
                                }),
                        new Choice("Cancel", () -> {})));
    }

    /** Saves; asks for a file if there is none. */
    void save() {
        save(() -> {});
    }

    /** Asks for a file and saves. */
    void saveAs() {
        saveAs(() -> {});
    }

    private void save(Runnable then) {
        if (document.file() == null || document.isReadOnly()) {
            saveAs(then);
        } else {
            saveTo(document.file(), false, then);
        }
    }

    private void saveAs(Runnable then) {
        Path chosen = chooser.get().toSave(Chooser.Saved.PROJECT, session.project().name());
        if (chosen == null) {
            return;
        }
        Path target = FileExtensions.with(chosen, ProjectFile.ENDING);
        if (!FileExtensions.isTaken(chosen, target)) {
            saveTo(target, false, then);
            return;
        }
        sheets.ask(
                target.getFileName() + " already exists",
                "Replace the existing file?",
                List.of(
                        new Choice("Save as...", () -> saveAs(then)),
                        new Choice("Replace", () -> saveTo(target, true, then)),
                        new Choice("Cancel", () -> {})));
    }

    private void saveTo(Path target, boolean replace, Runnable then) {
        Path was = document.file();
        document.save(
                target,
                replace,
                outcome -> {
                    switch (outcome) {
                        case Outcome.Saved(Path file) -> {
                            remembered.change(s -> s.withRecent(file).withExportMoved(was, file));
                            view.notice.set("Saved: " + file);
                            then.run();
                        }
                        case Outcome.Changed changed -> changed(changed, then);
                        case Outcome.Failed(IvrikException fault) ->
                                failed("Could not save", fault);
                    }
                });
    }

    /** The file was changed by another program: nothing is written without confirmation. */
    private void changed(Outcome.Changed changed, Runnable then) {
        String name = changed.file().getFileName().toString();
        String text =
                changed.gone()
                        ? "The file was renamed, moved or deleted after it was opened here."
                        : changed.there().isEmpty()
                                ? "Another program has overwritten the file; it is no longer a"
                                        + " project."
                                : "Another window or program saved the file after it was opened"
                                        + " here.";
        ask(name, text, changed, then);
    }

    private void ask(String name, String text, Outcome.Changed changed, Runnable then) {
        Choice saveAs = new Choice("Save as...", () -> saveAs(then));
        Choice replace =
                new Choice(
                        changed.gone() ? "Save again" : "Replace",
                        () -> saveTo(changed.file(), true, then));
        Choice stay = new Choice("Cancel", () -> {});
        sheets.ask(
                changed.gone()
                        ? name + " no longer exists"
                        : name + " was changed by another program",
                text,
                changed.there()
                        .map(
                                there ->
                                        List.of(
                                                saveAs,
                                                new Choice(
                                                        "Show differences",
                                                        () ->
                                                                ask(
                                                                        name,
                                                                        differences(there),
                                                                        changed,
                                                                        then)),
                                                replace,
                                                stay))
                        .orElse(List.of(saveAs, replace, stay)));
    }

    private String differences(Project there) {
        List<String> all =
                Differences.between(session.project(), "in this window", there, "in the file");
        String shown = String.join("\n", all.subList(0, Math.min(MAX_DIFFERENCES, all.size())));
        return all.isEmpty()
                ? "The file and this window hold the same project; only the formatting differs."
                : all.size() <= MAX_DIFFERENCES
                        ? shown
                        : shown + "\nand " + (all.size() - MAX_DIFFERENCES) + " more";
    }
}
