package ivrik.app.shell;

import ivrik.app.session.Document;
import ivrik.app.session.Document.Access;
import ivrik.app.session.Document.Outcome;
import ivrik.app.session.LostOffer;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.sheet.KeptWork;
import ivrik.app.sheet.Sheets;
import ivrik.app.sheet.Sheets.Choice;
import ivrik.core.IvrikException;
import ivrik.core.json.Differences;
import ivrik.core.project.Project;
import ivrik.media.file.LostWork;
import ivrik.media.file.ProjectFile;
import ivrik.media.file.ProjectHeldException;

import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Supplier;

/** Projects opened and saved by the user: what is asked first, and what is said when it goes wrong. */
final class Projects {
    private static final Logger LOG = LoggerFactory.getLogger(Projects.class);
    private static final int MOST_DIFFERENCES = 12;

    private final Session session;
    private final View view;
    private final Document document;
    private final Sheets sheets;
    private final Remembered remembered;
    private final Supplier<Chooser> chooser;
    private final Runnable opened;
    private final ReadOnlyBooleanWrapper opening = new ReadOnlyBooleanWrapper();

    /**
     * @param opened told when there is another project
     */
    Projects(
            Session session,
            View view,
            Document document,
            Sheets sheets,
            Remembered remembered,
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

    /** Asks which, and opens it. */
    void open() {
        Path chosen = chooser.get().projectToOpen();
        if (chosen != null) {
            open(chosen);
        }
    }

    /** Opens a project, offering back work that was lost. */
    void open(Path file) {
        open(file, () -> {});
    }

    private void open(Path file, Runnable then) {
        unlessUnsaved(() -> openNow(file.toAbsolutePath(), Access.WORK, this::offer, then));
    }

    /** Whether one is being read that is not on the desk yet. */
    ReadOnlyBooleanProperty openingProperty() {
        return opening.getReadOnlyProperty();
    }

    private void openNow(Path file, Access access, Consumer<List<LostOffer>> lost, Runnable then) {
        opening.set(true);
        view.notice.set("Opening " + file.getFileName());
        document.open(
                file,
                access,
                what -> {
                    opening.set(false);
                    fresh();
                    remembered.change(s -> s.withRecent(file));
                    if (!what.problems().isEmpty()) {
                        sheets.tell(
                                "Part of " + file.getFileName() + " could not be read",
                                String.join("\n", what.problems())
                                        + "\n\n"
                                        + "The rest is here. The file itself is as it was until you"
                                        + " save.");
                    }
                    lost.accept(what.lost());
                    then.run();
                },
                fault -> {
                    opening.set(false);
                    view.notice.set("");
                    if (fault instanceof ProjectHeldException held) {
                        held(file, held, then);
                    } else {
                        LOG.warn("open", fault);
                        sheets.tell("Could not open " + file.getFileName(), fault.oneLine());
                    }
                });
    }

    private void held(Path file, ProjectHeldException held, Runnable then) {
        sheets.ask(
                file.getFileName() + " is open already",
                "It is open with "
                        + held.holder().words()
                        + ". Two windows on one project would save over each other's work.",
                List.of(
                        new Choice("Open to look", () -> openNow(file, Access.LOOK, l -> {}, then)),
                        new Choice("Open a copy", () -> openNow(file, Access.COPY, l -> {}, then)),
                        new Choice("Leave it", () -> {})));
    }

    /** Looks for work without a name that was lost, and offers it back. */
    void offerUnnamed() {
        document.unnamedLost(this::offer);
    }

    /** Says that there is such work, without standing in the way. */
    void mentionUnnamed() {
        document.unnamedLost(
                lost -> {
                    if (!lost.isEmpty()) {
                        view.notice.set(
                                "Work of before that was never saved is kept: File, Kept work...");
                    }
                });
    }

    /** Everything that is kept: without a name, of this project, and of those last worked on. */
    void kept() {
        document.allLost(remembered.get().recent().stream().map(Path::of).toList(), this::show);
    }

    private void offer(List<LostOffer> lost) {
        if (!lost.isEmpty()) {
            show(lost);
        }
    }

    private void show(List<LostOffer> lost) {
        KeptWork sheet = new KeptWork(lost, document.journal(), keeping, sheets);
        sheets.show(sheet, sheet.first());
    }

    private final KeptWork.Actions keeping =
            new KeptWork.Actions() {
                @Override
                public void takeBack(LostWork lost) {
                    Path project = lost.project().orElse(null);
                    if (project == null
                            || !project.equals(document.file()) && Files.isRegularFile(project)) {
                        unlessUnsaved(() -> takeFrom(lost, project));
                    } else {
                        unlessUnsaved(() -> takeNow(lost));
                    }
                }

                @Override
                public void throwAway(LostWork lost) {
                    document.throwAway(lost, fault -> failed("Could not throw it away", fault));
                }
            };

    private void takeFrom(LostWork lost, Path project) {
        if (project == null) {
            takeNow(lost);
        } else {
            openNow(project, Access.WORK, others -> {}, () -> takeNow(lost));
        }
    }

    private void takeNow(LostWork lost) {
        document.takeBack(lost, this::fresh, fault -> failed("Could not take it back", fault));
    }

    private void failed(String title, IvrikException fault) {
        LOG.warn(title, fault);
        sheets.tell(title, fault.oneLine());
    }

    /** Another project: its pictures, its first frame. */
    private void fresh() {
        view.playing.set(false);
        view.frame.set(0);
        opened.run();
    }

    /** Does something that would lose unsaved work, after asking. */
    void unlessUnsaved(Runnable action) {
        if (session.isSaved() || session.project().isEmpty()) {
            action.run();
            return;
        }
        sheets.ask(
                "Save " + session.project().name() + " first?",
                "It has changes that are not saved.",
                List.of(
                        new Choice("Save", () -> save(action)),
                        new Choice(
                                "Do not save",
                                () -> {
                                    document.discard();
                                    action.run();
                                }),
                        new Choice("Stay here", () -> {})));
    }

    /** Saves, asking where to if there is no place yet. */
    void save() {
        save(() -> {});
    }

    /** Asks where to, and saves there. */
    void saveAs() {
        saveAs(() -> {});
    }

    private void save(Runnable then) {
        if (document.file() == null || document.isToLook()) {
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
        Path target = Endings.with(chosen, ProjectFile.ENDING);
        if (!Endings.isTaken(chosen, target)) {
            saveTo(target, false, then);
            return;
        }
        sheets.ask(
                target.getFileName() + " is there already",
                "Shall it be replaced?",
                List.of(
                        new Choice("Choose another name", () -> saveAs(then)),
                        new Choice("Replace it", () -> saveTo(target, true, then)),
                        new Choice("Stay here", () -> {})));
    }

    private void saveTo(Path target, boolean replace, Runnable then) {
        document.save(
                target,
                replace,
                outcome -> {
                    switch (outcome) {
                        case Outcome.Saved(Path file) -> {
                            remembered.change(s -> s.withRecent(file));
                            view.notice.set("Saved to " + file);
                            then.run();
                        }
                        case Outcome.Changed changed -> changed(changed, then);
                        case Outcome.Failed(IvrikException fault) ->
                                failed("Could not save", fault);
                    }
                });
    }

    /** Another program has been at the file: nothing is written before the user says so. */
    private void changed(Outcome.Changed changed, Runnable then) {
        String name = changed.file().getFileName().toString();
        String text =
                changed.gone()
                        ? "It was renamed, moved or deleted since it was opened here."
                        : changed.there().isEmpty()
                                ? "Another program has put something in its place that is no"
                                        + " project."
                                : "Another window or program has saved it since it was opened"
                                        + " here.";
        ask(name, text, changed, then);
    }

    private void ask(String name, String text, Outcome.Changed changed, Runnable then) {
        Choice saveAs = new Choice("Save as...", () -> saveAs(then));
        Choice replace =
                new Choice(
                        changed.gone() ? "Save it there again" : "Replace it",
                        () -> saveTo(changed.file(), true, then));
        Choice stay = new Choice("Stay here", () -> {});
        sheets.ask(
                changed.gone() ? name + " is no longer there" : name + " was changed meanwhile",
                text,
                changed.there()
                        .map(
                                there ->
                                        List.of(
                                                saveAs,
                                                new Choice(
                                                        "See what differs",
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
        List<String> all = Differences.between(session.project(), "here", there, "in the file");
        String shown = String.join("\n", all.subList(0, Math.min(MOST_DIFFERENCES, all.size())));
        return all.isEmpty()
                ? "The file says the same as this window, in other words."
                : all.size() <= MOST_DIFFERENCES
                        ? shown
                        : shown + "\nand " + (all.size() - MOST_DIFFERENCES) + " more";
    }
}
