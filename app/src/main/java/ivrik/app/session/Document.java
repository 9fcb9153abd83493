package ivrik.app.session;

import ivrik.core.IvrikException;
import ivrik.core.json.ProjectJson;
import ivrik.core.project.Project;
import ivrik.media.file.FileVersion;
import ivrik.media.file.Journal;
import ivrik.media.file.ProjectFile;
import ivrik.media.file.ProjectLock;
import ivrik.media.file.RecoverableWork;

import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import java.util.function.Supplier;

/**
 * The project's file: opening, saving, its lock, and the journal of unsaved work. To be used on the interface
 * thread; disk access runs on its own thread, and results are reported on the interface thread.
 */
public final class Document implements AutoCloseable {
    /** How a project is opened. */
    public enum Access {
        /** For editing; no other window may open it so. */
        WORK,
        /** Read-only: another window has it open, and saving asks for another name. */
        LOOK,
        /** As a new project without a name. */
        COPY
    }

    /** Whether unsaved work is backed up. */
    public enum Safety {
        SAVED,
        KEPT_ASIDE,
        NOT_YET
    }

    /**
     * Result of opening a file.
     *
     * @param problems messages about what could not be read
     * @param lost recoverable unsaved work on the project
     */
    public record Opened(List<String> problems, List<RecoveryOffer> lost) {}

    /** Result of saving. */
    public sealed interface Outcome {
        record Saved(Path file) implements Outcome {}

        /**
         * The file changed since it was read or saved.
         *
         * @param there present content; empty if the file was deleted or is not a project
         */
        record Changed(Path file, Optional<Project> there, boolean gone) implements Outcome {}

        record Failed(IvrikException fault) implements Outcome {}
    }

    private static final Logger LOG = LoggerFactory.getLogger(Document.class);

    /** Name of an unnamed project. */
    public static final String UNTITLED = "Untitled";

    private final Session session;
    private final Path dataFolder;
    private final ReadOnlyObjectWrapper<Path> file = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<Safety> safety = new ReadOnlyObjectWrapper<>(Safety.SAVED);
    private final FileTasks disk;
    private final BackupWriter keeper;
    private BackupWriter.Place place;
    private ProjectLock lock;
    private FileVersion version = FileVersion.NONE;
    private Project kept;
    private boolean toLook;

    /**
     * @param interfaceThread executes reports
     * @param say receives journal errors
     */
    public Document(
            Session session, Path dataFolder, Executor interfaceThread, Consumer<String> say) {
        this.session = session;
        this.disk = new FileTasks("ivrik-document", interfaceThread);
        this.dataFolder = dataFolder;
        this.place = placeFor(null);
        this.keeper =
                new BackupWriter(
                        project -> interfaceThread.execute(() -> isKept(project)),
                        fault ->
                                interfaceThread.execute(
                                        () -> say.accept("Backup failed: " + fault.oneLine())));
        session.stateProperty()
                .addListener(
                        (o, was, is) -> {
                            if (was.project() != is.project()) {
                                keepSoon();
                            }
                            showSafety();
                        });
    }

    /** The project's file; null for an unnamed project. */
    public ReadOnlyObjectProperty<Path> fileProperty() {
        return file.getReadOnlyProperty();
    }

    public Path file() {
        return file.get();
    }

    /** Whether unsaved work is backed up. */
    public ReadOnlyObjectProperty<Safety> safetyProperty() {
        return safety.getReadOnlyProperty();
    }

    /** Whether another window has the file open, so that this one must not save to it. */
    public boolean isReadOnly() {
        return toLook;
    }

    /** Whether a disk operation is running. */
    public boolean isBusy() {
        return disk.isBusy();
    }

    /** The journal of this window. */
    public Path journal() {
        return place.first().file();
    }

    public void startNew() {
        leave();
        session.open(Project.empty(UNTITLED));
    }

    /**
     * Opens a project as far as it can be read; the file is not changed.
     *
     * @param fault receives the error if it cannot be opened; the present project then stays. A
     *     {@link ivrik.media.file.ProjectLockedException} if another window has it open for editing
     */
    public void open(
            Path project, Access access, Consumer<Opened> opened, Consumer<IvrikException> fault) {
        boolean mine = file.get() != null && !toLook && isSame(file.get(), project);
        ProjectLock held = lock;
        work(
                () -> {
                    Path real = ProjectFile.real(project);
                    ProjectLock claim =
                            access != Access.WORK ? null : mine ? held : ProjectLock.take(real);
                    try {
                        String text = ProjectFile.text(real);
                        ProjectJson.Reading reading = ProjectPreload.of(text, real);
                        List<RecoveryOffer> lost =
                                access == Access.WORK
                                        ? RecoveryOffer.of(
                                                RecoverableWork.of(real), reading.project())
                                        : List.of();
                        return () -> {
                            enter(real, access, claim, FileVersion.of(text));
                            session.open(reading.project());
                            if (!reading.problems().isEmpty() || access == Access.COPY) {
                                session.markUnsaved();
                                keepSoon();
                            }
                            showSafety();
                            opened.accept(new Opened(reading.problems(), lost));
                        };
                    } catch (RuntimeException e) {
                        if (claim != null && claim != held) {
                            claim.close();
                        }
                        throw e;
                    }
                },
                fault);
    }

    private static boolean isSame(Path a, Path b) {
        try {
            return Files.isSameFile(a, b);
        } catch (IOException e) {
            return a.equals(b.toAbsolutePath());
        }
    }

    /** Finds unnamed unsaved work of earlier windows. */
    public void unnamedLost(Consumer<List<RecoveryOffer>> then) {
        allLost(List.of(), then);
    }

    /** Finds unnamed unsaved work, and that of the open project and others. */
    public void allLost(List<Path> others, Consumer<List<RecoveryOffer>> then) {
        Set<Path> projects = new LinkedHashSet<>();
        if (file.get() != null) {
            projects.add(file.get());
        }
        projects.addAll(others);
        work(
                () -> {
                    List<RecoveryOffer> all = new ArrayList<>();
                    for (Path project : others.isEmpty() ? Set.<Path>of() : projects) {
                        all.addAll(
                                RecoveryOffer.of(
                                        RecoverableWork.of(project),
                                        Files.isRegularFile(project)
                                                ? ProjectFile.open(project).project()
                                                : Project.empty("")));
                    }
                    all.addAll(
                            RecoveryOffer.of(
                                    RecoverableWork.unnamed(dataFolder), Project.empty("")));
                    return () -> then.accept(all);
                },
                fault -> {
                    LOG.warn("recovered work could not be listed", fault);
                    then.accept(List.of());
                });
    }

    public void discard(RecoverableWork lost, Consumer<IvrikException> fault) {
        work(
                () -> {
                    lost.discard();
                    return () -> {};
                },
                fault);
    }

    /** Recovers unsaved work of the open project or without a name; it stays unsaved. */
    public void recover(RecoverableWork lost, Runnable then, Consumer<IvrikException> fault) {
        work(
                () -> {
                    ProjectJson.Reading reading = lost.read();
                    return () -> {
                        if (lost.project().isEmpty()) {
                            leave();
                        }
                        session.open(reading.project());
                        session.markUnsaved();
                        becomesOurs(lost, fault);
                        keepSoon();
                        then.run();
                    };
                },
                fault);
    }

    private void becomesOurs(RecoverableWork lost, Consumer<IvrikException> fault) {
        if (lost.elsewhere().isPresent()) {
            return; // its window may be open on another machine
        }
        Journal ours = place.first();
        work(
                () -> {
                    lost.becomes(ours);
                    return () -> {};
                },
                fault);
    }

    /** Discards the unsaved work. */
    public void discard() {
        keeper.drop(place);
    }

    /**
     * Saves, unless another program changed the file.
     *
     * @param target a different file is always replaced
     * @param replace whether to replace a changed file
     */
    public void save(Path target, boolean replace, Consumer<Outcome> then) {
        Path absolute = target.toAbsolutePath();
        boolean same = file.get() != null && !toLook && isSame(file.get(), absolute);
        FileVersion expected = version;
        Project project = session.project();
        ProjectLock held = lock;
        work(
                () -> {
                    Path real = Files.exists(absolute) ? ProjectFile.real(absolute) : absolute;
                    ProjectLock claim = same ? held : ProjectLock.take(real);
                    if (same && !replace && !FileVersion.of(real).equals(expected)) {
                        Outcome changed = changed(real);
                        return () -> then.accept(changed);
                    }
                    FileVersion now;
                    try {
                        now = FileVersion.of(ProjectFile.save(real, project));
                    } catch (RuntimeException e) {
                        if (!same) {
                            claim.close();
                        }
                        throw e;
                    }
                    return () -> {
                        keeper.drop(place);
                        enter(real, Access.WORK, claim, now);
                        session.markSaved(project);
                        keepSoon();
                        showSafety();
                        then.accept(new Outcome.Saved(real));
                    };
                },
                fault -> then.accept(new Outcome.Failed(fault)));
    }

    private static Outcome changed(Path real) {
        if (!Files.exists(real)) {
            return new Outcome.Changed(real, Optional.empty(), true);
        }
        try {
            return new Outcome.Changed(real, Optional.of(ProjectFile.open(real).project()), false);
        } catch (IvrikException e) {
            return new Outcome.Changed(real, Optional.empty(), false);
        }
    }

    /** Leaves the present file and its journal. */
    private void leave() {
        enter(null, Access.WORK, null, FileVersion.NONE);
    }

    private void enter(Path project, Access access, ProjectLock claim, FileVersion now) {
        keeper.drop(place);
        if (lock != null && lock != claim) {
            lock.close();
        }
        lock = claim;
        version = now;
        kept = null;
        toLook = access == Access.LOOK;
        place = placeFor(access == Access.WORK ? project : null);
        file.set(access == Access.COPY ? null : project);
    }

    /** New journals each time, so that discarding old ones cannot affect them. */
    private BackupWriter.Place placeFor(Path project) {
        Journal unnamed = Journal.unnamed(dataFolder);
        return new BackupWriter.Place(project == null ? unnamed : Journal.beside(project), unnamed);
    }

    private void keepSoon() {
        if (session.isSaved() || session.project().isEmpty()) {
            keeper.drop(place);
        } else {
            keeper.keep(place, session.project());
        }
    }

    private void isKept(Project project) {
        kept = project;
        showSafety();
    }

    private void showSafety() {
        safety.set(
                session.isSaved()
                        ? Safety.SAVED
                        : session.project().equals(kept) ? Safety.KEPT_ASIDE : Safety.NOT_YET);
    }

    /** Runs disk work whose result is executed on the interface thread. */
    private void work(Supplier<Runnable> work, Consumer<IvrikException> fault) {
        disk.run(work, Runnable::run, fault);
    }

    /** Closes the window. Unsaved work that was not discarded stays in its journal. */
    @Override
    public void close() {
        keeper.close();
        disk.close();
        if (lock != null) {
            lock.close();
        }
    }
}
