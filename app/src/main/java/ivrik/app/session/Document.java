package ivrik.app.session;

import ivrik.core.IvrikException;
import ivrik.core.json.ProjectJson;
import ivrik.core.project.Project;
import ivrik.media.file.Journal;
import ivrik.media.file.ProjectFile;

import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;

/**
 * The project's file: opening, saving, and the journal that is written a moment after every change,
 * so that a crash costs seconds.
 */
public final class Document {
    private static final Logger LOG = LoggerFactory.getLogger(Document.class);
    private static final long JOURNAL_DELAY_MS = 1000;
    private static final long JOURNAL_WAIT_SECONDS = 3;

    private final Session session;
    private final Path dataFolder;
    private final Consumer<String> say;
    private final ReadOnlyObjectWrapper<Path> file = new ReadOnlyObjectWrapper<>();
    private final ScheduledExecutorService writer =
            Executors.newSingleThreadScheduledExecutor(
                    Thread.ofPlatform().name("ivrik-journal").daemon().factory());
    private ScheduledFuture<?> pending;
    private Path folder;

    /**
     * @param say where a fault of the journal is told, on the interface thread
     */
    public Document(Session session, Path dataFolder, Consumer<String> say) {
        this.session = session;
        this.dataFolder = dataFolder;
        this.folder = dataFolder;
        this.say = say;
        session.stateProperty()
                .addListener(
                        (o, was, is) -> {
                            if (was.project() != is.project()) {
                                journalSoon();
                            }
                        });
    }

    /** Where the project is saved, null while it has no name. */
    public ReadOnlyObjectProperty<Path> fileProperty() {
        return file.getReadOnlyProperty();
    }

    public Path file() {
        return file.get();
    }

    /** What the project's media paths are relative to. */
    public Path folder() {
        return folder;
    }

    public void startNew() {
        file.set(null);
        folder = dataFolder;
        session.open(Project.empty("Untitled"));
    }

    /**
     * Opens a project as far as it can be read; the file is not touched.
     *
     * @return what could not be read
     */
    public List<String> open(Path project) {
        ProjectJson.Reading reading = ProjectFile.load(project);
        folder = project.toAbsolutePath().getParent();
        file.set(project.toAbsolutePath());
        session.open(reading.project());
        if (!reading.problems().isEmpty()) {
            session.markUnsaved();
        }
        return reading.problems();
    }

    /** Work that was not saved when a project, or the unnamed one if null, was last open. */
    public Optional<Project> lost(Path project) {
        return journal(project)
                .read()
                .map(ProjectJson.Reading::project)
                .filter(lost -> !lost.isEmpty() && !lost.equals(onDisk(project)));
    }

    private static Project onDisk(Path project) {
        return project != null && Files.exists(project)
                ? ProjectFile.load(project).project()
                : null;
    }

    /** Takes lost work back; it is unsaved. */
    public void takeBack(Path project, Project lost) {
        file.set(project);
        folder = project == null ? dataFolder : project.toAbsolutePath().getParent();
        session.open(lost);
        session.markUnsaved();
    }

    public void discard(Path project) {
        journal(project).clear();
    }

    /** Saves under the project's own name. */
    public void save() {
        saveAs(file.get());
    }

    /** Saves under a name; media paths follow. */
    public void saveAs(Path target) {
        Path absolute = target.toAbsolutePath();
        Path to = absolute.getParent();
        Project project = ProjectFile.rebased(session.project(), folder, to);
        ProjectFile.save(absolute, project);
        cancelJournal();
        journal(file.get()).clear();
        if (!to.equals(folder)) {
            folder = to;
            session.edit("Save elsewhere", p -> project);
        }
        file.set(absolute);
        session.markSaved();
        cancelJournal();
        journal(absolute).clear();
    }

    private Journal journal(Path project) {
        return project == null ? Journal.unnamed(dataFolder) : Journal.beside(project);
    }

    private void cancelJournal() {
        if (pending != null) {
            pending.cancel(false);
        }
    }

    private void journalSoon() {
        cancelJournal();
        Project project = session.project();
        Journal journal = journal(file.get());
        boolean keep = !session.isSaved() && !project.isEmpty();
        pending =
                writer.schedule(
                        () -> {
                            try {
                                if (keep) {
                                    journal.write(project);
                                }
                            } catch (IvrikException e) {
                                Platform.runLater(
                                        () ->
                                                say.accept(
                                                        "Work is not being kept safe: "
                                                                + e.oneLine()));
                            }
                        },
                        JOURNAL_DELAY_MS,
                        TimeUnit.MILLISECONDS);
    }

    /**
     * The window closes: what is saved or not wanted needs no journal. One that is being written is
     * waited for, so that nothing is written any more once this returns.
     */
    public void close() {
        cancelJournal();
        writer.shutdown();
        try {
            if (!writer.awaitTermination(JOURNAL_WAIT_SECONDS, TimeUnit.SECONDS)) {
                LOG.warn("the journal was still being written when the window closed");
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
