package ivrik.app.shell;

import ivrik.app.session.Document;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.sheet.Sheets;
import ivrik.app.sheet.Sheets.Choice;
import ivrik.core.IvrikException;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.nio.file.Path;
import java.util.List;
import java.util.function.Supplier;

/** Projects opened and saved by the user: what is asked first, and what is said when it goes wrong. */
final class Projects {
    private static final Logger LOG = LoggerFactory.getLogger(Projects.class);

    private final Session session;
    private final View view;
    private final Document document;
    private final Sheets sheets;
    private final Remembered remembered;
    private final Supplier<Chooser> chooser;
    private final Runnable folderChanged;

    /**
     * @param folderChanged told when media paths are relative to another folder, or all are new
     */
    Projects(
            Session session,
            View view,
            Document document,
            Sheets sheets,
            Remembered remembered,
            Supplier<Chooser> chooser,
            Runnable folderChanged) {
        this.session = session;
        this.view = view;
        this.document = document;
        this.sheets = sheets;
        this.remembered = remembered;
        this.chooser = chooser;
        this.folderChanged = folderChanged;
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
        unlessUnsaved(() -> openNow(file.toAbsolutePath()));
    }

    private void openNow(Path file) {
        try {
            List<String> problems = document.open(file);
            fresh();
            remembered.change(s -> s.withRecent(file));
            if (!problems.isEmpty()) {
                sheets.tell(
                        "Part of " + file.getFileName() + " could not be read",
                        String.join("\n", problems)
                                + "\n\n"
                                + "The rest is here. The file itself is as it was until you save.");
            }
            offerLost(file);
        } catch (IvrikException e) {
            LOG.warn("open", e);
            sheets.tell("Could not open " + file.getFileName(), e.oneLine());
        }
    }

    /** Looks for work that was lost: of a project, or without a name if null. */
    void offerLost(Path file) {
        try {
            document.lost(file)
                    .ifPresent(
                            lost ->
                                    sheets.ask(
                                            "Work that was not saved",
                                            "Ivrik ended before this was saved. Take it back? The"
                                                    + " file on the disk stays as it is until you"
                                                    + " save.",
                                            List.of(
                                                    new Choice(
                                                            "Take it back",
                                                            () -> {
                                                                document.takeBack(file, lost);
                                                                fresh();
                                                            }),
                                                    new Choice(
                                                            "Leave it",
                                                            () -> document.discard(file)))));
        } catch (IvrikException e) {
            LOG.warn("journal", e);
        }
    }

    /** Another project: its folder, its pictures, its first frame. */
    private void fresh() {
        view.playing.set(false);
        view.frame.set(0);
        folderChanged.run();
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
                        new Choice(
                                "Save",
                                () -> {
                                    if (save()) {
                                        action.run();
                                    }
                                }),
                        new Choice(
                                "Do not save",
                                () -> {
                                    document.discard(document.file());
                                    action.run();
                                }),
                        new Choice("Stay here", () -> {})));
    }

    /** Whether it is saved now. */
    boolean save() {
        return document.file() == null ? saveAs() : saveTo(document.file());
    }

    /** Asks where to, and saves there; whether it is saved now. */
    boolean saveAs() {
        Path target = chooser.get().projectToSave(session.project().name());
        return target != null && saveTo(target);
    }

    private boolean saveTo(Path target) {
        Path before = document.folder();
        try {
            document.saveAs(target);
            remembered.change(s -> s.withRecent(target.toAbsolutePath()));
            if (!before.equals(document.folder())) {
                folderChanged.run();
            }
            view.notice.set("Saved to " + target);
            return true;
        } catch (IvrikException e) {
            LOG.warn("save", e);
            sheets.tell("Could not save", e.oneLine());
            return false;
        }
    }
}
