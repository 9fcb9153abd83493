package ivrik.app.shell;

import ivrik.app.session.Session;
import ivrik.app.sheet.Sheets;
import ivrik.app.sheet.Sheets.Choice;
import ivrik.core.IvrikException;
import ivrik.core.project.Arrange;
import ivrik.core.project.Project;
import ivrik.core.project.Source;
import ivrik.core.threads.Threads;
import ivrik.media.decode.Import;
import ivrik.media.decode.NumberedSequence;
import ivrik.media.facts.SourceFacts;

import javafx.application.Platform;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.concurrent.Executors;
import java.util.function.Consumer;

/** Files coming into the project; looked into off the interface thread. */
final class Importer {
    private final Session session;
    private final Sheets sheets;
    private final Consumer<String> remark;
    private final Executor reader =
            Executors.newSingleThreadExecutor(Threads.named("ivrik-import"));

    /**
     * @param sheets tell what could not be brought in, and ask where a file may be read in two ways
     * @param remark what is not as one would expect of what was
     */
    Importer(Session session, Sheets sheets, Consumer<String> remark) {
        this.session = session;
        this.sheets = sheets;
        this.remark = remark;
    }

    /**
     * Brings files in, in their order. A single still beside which others are numbered may be meant as one of a
     * sequence: that is asked.
     *
     * @param then run when all of them are in, or said not to be
     */
    void bringIn(List<Path> files, Runnable then) {
        reader.execute(
                () -> {
                    Optional<Path> sequence =
                            files.size() == 1 && !NumberedSequence.isPattern(files.getFirst())
                                    ? NumberedSequence.around(files.getFirst())
                                    : Optional.empty();
                    if (sequence.isPresent()) {
                        long count = NumberedSequence.files(sequence.get()).size();
                        Platform.runLater(() -> ask(files.getFirst(), sequence.get(), count, then));
                    } else {
                        readAll(files, then);
                    }
                });
    }

    private void ask(Path still, Path sequence, long count, Runnable then) {
        sheets.ask(
                still.getFileName() + " is one of " + count + " numbered pictures",
                "Are they the frames of a sequence?",
                List.of(
                        new Choice("A sequence of " + count, () -> bring(sequence, then)),
                        new Choice("Only this still", () -> bring(still, then))));
    }

    private void bring(Path file, Runnable then) {
        reader.execute(() -> readAll(List.of(file), then));
    }

    private void readAll(List<Path> files, Runnable then) {
        for (Path file : files) {
            look(
                    file,
                    "",
                    source ->
                            session.edit(
                                    "Bring in " + source.name(),
                                    p -> Arrange.putOn(p, named(p, source))));
        }
        Platform.runLater(then);
    }

    /** Another file for a source; everything built on it stays. */
    void replace(Source old, Path file) {
        reader.execute(
                () ->
                        look(
                                file,
                                old.id(),
                                source ->
                                        session.edit(
                                                "Replace " + old.name(),
                                                p -> p.withSource(source))));
    }

    /** What a source's file is, found out off the interface thread. */
    void facts(Source source, Consumer<SourceFacts> then) {
        reader.execute(
                () -> {
                    try {
                        SourceFacts facts = SourceFacts.of(source);
                        Platform.runLater(() -> then.accept(facts));
                    } catch (IvrikException e) {
                        failed(Path.of(source.path()), e);
                    }
                });
    }

    /** The same file, read in another way; its size may be another then. */
    void readAnew(Source old, Source changed) {
        reader.execute(
                () -> {
                    try {
                        Source read =
                                Import.source(
                                        Path.of(changed.path()), changed.id(), changed.reading());
                        Source named =
                                new Source(
                                        read.id(),
                                        old.name(),
                                        read.path(),
                                        read.kind(),
                                        read.size(),
                                        changed.rate(),
                                        read.frames(),
                                        read.sound(),
                                        read.title(),
                                        read.reading());
                        Platform.runLater(
                                () ->
                                        session.edit(
                                                "Read " + old.name() + " another way",
                                                p -> p.withSource(named)));
                    } catch (IvrikException e) {
                        failed(Path.of(changed.path()), e);
                    }
                });
    }

    private void failed(Path file, IvrikException e) {
        Platform.runLater(() -> sheets.tell("Could not read " + file.getFileName(), e.oneLine()));
    }

    private void look(Path file, String id, Consumer<Source> then) {
        try {
            Source source = Import.source(file, id);
            List<String> remarks = SourceFacts.of(source).remarks();
            Platform.runLater(
                    () -> {
                        then.accept(source);
                        if (!remarks.isEmpty()) {
                            remark.accept(source.name() + ": " + String.join("; ", remarks));
                        }
                    });
        } catch (IvrikException e) {
            Platform.runLater(
                    () -> sheets.tell("Could not bring in " + file.getFileName(), e.oneLine()));
        }
    }

    /** With an id of its own. */
    private static Source named(Project project, Source source) {
        return source.withId(Arrange.freeSourceId(project, source.name()));
    }
}
