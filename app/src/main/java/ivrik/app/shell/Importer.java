package ivrik.app.shell;

import ivrik.app.session.Session;
import ivrik.app.sheet.Sheets;
import ivrik.app.sheet.Sheets.Choice;
import ivrik.core.IvrikException;
import ivrik.core.project.Project;
import ivrik.core.project.ProjectEdits;
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

/** Imports files into the project; they are examined off the interface thread. */
final class Importer {
    private final Session session;
    private final Sheets sheets;
    private final Consumer<String> notice;
    private final Executor reader =
            Executors.newSingleThreadExecutor(Threads.named("ivrik-import"));

    /**
     * @param sheets reports errors and asks questions
     * @param notice receives notes on imported files
     */
    Importer(Session session, Sheets sheets, Consumer<String> notice) {
        this.session = session;
        this.sheets = sheets;
        this.notice = notice;
    }

    /**
     * Imports files in order. For a single still that belongs to numbered stills, asks whether to import the
     * sequence; numbered movies are imported one by one.
     *
     * @param then executed after all files were imported or reported
     */
    void importFiles(List<Path> files, Runnable then) {
        reader.execute(
                () -> {
                    Optional<Path> sequence =
                            files.size() == 1 && !NumberedSequence.isPattern(files.getFirst())
                                    ? NumberedSequence.around(files.getFirst())
                                    : Optional.empty();
                    Optional<NumberedStills> stills = sequence.flatMap(NumberedStills::of);
                    if (stills.isPresent()) {
                        Platform.runLater(() -> ask(files.getFirst(), stills.get(), then));
                    } else {
                        readAll(files, then);
                    }
                });
    }

    private void ask(Path still, NumberedStills stills, Runnable then) {
        sheets.ask(
                still.getFileName() + " belongs to " + stills.count() + " numbered stills",
                stills.pictures(),
                List.of(
                        new Choice("Import this still", () -> bring(still, then)),
                        new Choice(
                                "Import sequence (" + stills.count() + " frames)",
                                () -> bring(stills.pattern(), then))));
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
                                    "Import " + source.name(),
                                    p -> ProjectEdits.putOn(p, named(p, source))));
        }
        Platform.runLater(then);
    }

    /** Relinks a source to another file; everything that uses the source stays. */
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

    /** Finds the properties of a source's file, off the interface thread. */
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

    /** Changes the decoding options of a source; its size may change. */
    void reread(Source old, Source changed) {
        reader.execute(
                () -> {
                    try {
                        Source read =
                                Import.source(
                                        Path.of(changed.path()), changed.id(), changed.settings());
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
                                        read.settings());
                        Platform.runLater(
                                () ->
                                        session.edit(
                                                "Change settings of " + old.name(),
                                                p -> p.withSource(named)));
                    } catch (IvrikException e) {
                        failed(Path.of(changed.path()), e);
                    }
                });
    }

    private void failed(Path file, IvrikException e) {
        Platform.runLater(() -> sheets.report("Could not read " + file.getFileName(), e.oneLine()));
    }

    private void look(Path file, String id, Consumer<Source> then) {
        try {
            Source source = Import.source(file, id);
            List<String> notices = SourceFacts.of(source).notices();
            Platform.runLater(
                    () -> {
                        then.accept(source);
                        if (!notices.isEmpty()) {
                            notice.accept(source.name() + ": " + String.join("; ", notices));
                        }
                    });
        } catch (IvrikException e) {
            Platform.runLater(
                    () -> sheets.report("Could not import " + file.getFileName(), e.oneLine()));
        }
    }

    /** The source with an unused id. */
    private static Source named(Project project, Source source) {
        return source.withId(ProjectEdits.freeSourceId(project, source.name()));
    }
}
