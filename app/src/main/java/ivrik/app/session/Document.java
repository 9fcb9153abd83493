package ivrik.app.session;

import ivrik.core.IvrikException;
import ivrik.core.json.ProjectJson;
import ivrik.core.project.Project;
import ivrik.media.file.FileVersion;
import ivrik.media.file.Journal;
import ivrik.media.file.LostWork;
import ivrik.media.file.ProjectFile;
import ivrik.media.file.ProjectLock;

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
 * The project's file: opening, saving, who has it, and the journal in which unsaved work is kept. To be
 * used on the interface thread; what touches the disk runs in a thread of its own and is told there.
 */
public final class Document implements AutoCloseable {
    /** How a project is opened. */
    public enum Access {
        /** To be worked on; no other window may. */
        WORK,
        /** To look: another window has it, and saving asks for another name. */
        LOOK,
        /** As new work without a name. */
        COPY
    }

    /** Whether the work is safe. */
    public enum Safety {
        SAVED,
        KEPT_ASIDE,
        NOT_YET
    }

    /**
     * What an opened file held.
     *
     * @param problems what could not be read
     * @param lost work on it that was never saved
     */
    public record Opened(List<String> problems, List<LostOffer> lost) {}

    /** How saving ended. */
    public sealed interface Outcome {
        record Saved(Path file) implements Outcome {}

        /**
         * The file is not what was read or saved last.
         *
         * @param there what stands in it now, empty if it is gone or no project any more
         */
        record Changed(Path file, Optional<Project> there, boolean gone) implements Outcome {}

        record Failed(IvrikException fault) implements Outcome {}
    }

    private static final Logger LOG = LoggerFactory.getLogger(Document.class);

    /** The name of work that has none. */
    public static final String UNTITLED = "Untitled";

    private final Session session;
    private final Path dataFolder;
    private final ReadOnlyObjectWrapper<Path> file = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<Safety> safety = new ReadOnlyObjectWrapper<>(Safety.SAVED);
    private final FileWork disk;
    private final Keeper keeper;
    private Keeper.Place place;
    private ProjectLock lock;
    private FileVersion version = FileVersion.NONE;
    private Project kept;
    private boolean toLook;

    /**
     * @param interfaceThread runs what is told
     * @param say where a fault of the journal is told
     */
    public Document(
            Session session, Path dataFolder, Executor interfaceThread, Consumer<String> say) {
        this.session = session;
        this.disk = new FileWork("ivrik-document", interfaceThread);
        this.dataFolder = dataFolder;
        this.place = placeFor(null);
        this.keeper =
                new Keeper(
                        project -> interfaceThread.execute(() -> isKept(project)),
                        fault ->
                                interfaceThread.execute(
                                        () ->
                                                say.accept(
                                                        "Work is not being kept safe: "
                                                                + fault.oneLine())));
        session.stateProperty()
                .addListener(
                        (o, was, is) -> {
                            if (was.project() != is.project()) {
                                keepSoon();
                            }
                            showSafety();
                        });
    }

    /** Where the project is saved, null while it has no name. */
    public ReadOnlyObjectProperty<Path> fileProperty() {
        return file.getReadOnlyProperty();
    }

    public Path file() {
        return file.get();
    }

    /** Whether the work is safe at present. */
    public ReadOnlyObjectProperty<Safety> safetyProperty() {
        return safety.getReadOnlyProperty();
    }

    /** Whether another window has the file, so that this one may not save there. */
    public boolean isToLook() {
        return toLook;
    }

    /** Whether the disk is being read or written for it. */
    public boolean isBusy() {
        return disk.isBusy();
    }

    /** Where unsaved work of this window is kept. */
    public Path journal() {
        return place.first().file();
    }

    public void startNew() {
        leave();
        session.open(Project.empty(UNTITLED));
    }

    /**
     * Opens a project as far as it can be read; the file is not touched.
     *
     * @param fault told what kept it from being opened; the present work stays then. A {@link
     *     ivrik.media.file.ProjectHeldException} if it is to be worked on and another window has it.
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
                        ProjectJson.Reading reading = EarlyReading.of(text, real);
                        List<LostOffer> lost =
                                access == Access.WORK
                                        ? LostOffer.of(LostWork.of(real), reading.project())
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

    /** All work without a name that earlier windows left, looked for on the disk. */
    public void unnamedLost(Consumer<List<LostOffer>> then) {
        allLost(List.of(), then);
    }

    /** The same, and what was lost of the open project and of others. */
    public void allLost(List<Path> others, Consumer<List<LostOffer>> then) {
        Set<Path> projects = new LinkedHashSet<>();
        if (file.get() != null) {
            projects.add(file.get());
        }
        projects.addAll(others);
        work(
                () -> {
                    List<LostOffer> all = new ArrayList<>();
                    for (Path project : others.isEmpty() ? Set.<Path>of() : projects) {
                        all.addAll(
                                LostOffer.of(
                                        LostWork.of(project),
                                        Files.isRegularFile(project)
                                                ? ProjectFile.open(project).project()
                                                : Project.empty("")));
                    }
                    all.addAll(LostOffer.of(LostWork.unnamed(dataFolder), Project.empty("")));
                    return () -> then.accept(all);
                },
                fault -> {
                    LOG.warn("kept work", fault);
                    then.accept(List.of());
                });
    }

    public void throwAway(LostWork lost, Consumer<IvrikException> fault) {
        work(
                () -> {
                    lost.throwAway();
                    return () -> {};
                },
                fault);
    }

    /** Takes lost work back, of the project that is open or without a name; it is unsaved. */
    public void takeBack(LostWork lost, Runnable then, Consumer<IvrikException> fault) {
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

    private void becomesOurs(LostWork lost, Consumer<IvrikException> fault) {
        if (lost.elsewhere().isPresent()) {
            return; // its window may still live there
        }
        Journal ours = place.first();
        work(
                () -> {
                    lost.becomes(ours);
                    return () -> {};
                },
                fault);
    }

    /** The work is not wanted: it is kept no longer. */
    public void discard() {
        keeper.drop(place);
    }

    /**
     * Saves, unless the file has been changed by another program meanwhile.
     *
     * @param target another file than the present one takes its place, whatever stands there
     * @param replace whether even a changed file is written over
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

    /** The present file is left, and its journal with it. */
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

    /** Always new ones, so that clearing those of before cannot touch them. */
    private Keeper.Place placeFor(Path project) {
        Journal unnamed = Journal.unnamed(dataFolder);
        return new Keeper.Place(project == null ? unnamed : Journal.beside(project), unnamed);
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

    /** Work on the disk that gives what is to be done on the interface thread. */
    private void work(Supplier<Runnable> work, Consumer<IvrikException> fault) {
        disk.run(work, Runnable::run, fault);
    }

    /** The window closes. What is not saved and was not discarded stays in its journal. */
    @Override
    public void close() {
        keeper.close();
        disk.close();
        if (lock != null) {
            lock.close();
        }
    }
}
