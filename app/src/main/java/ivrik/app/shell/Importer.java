package ivrik.app.shell;

import ivrik.app.session.Session;
import ivrik.core.IvrikException;
import ivrik.core.project.Arrange;
import ivrik.core.project.Project;
import ivrik.core.project.Source;
import ivrik.media.decode.Import;
import ivrik.media.decode.NumberedSequence;
import ivrik.media.facts.SourceFacts;

import javafx.application.Platform;

import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Executor;
import java.util.concurrent.Executors;
import java.util.function.BiConsumer;
import java.util.function.Consumer;

/** Files coming into the project; looked into off the interface thread. */
final class Importer {
    private final Session session;
    private final BiConsumer<String, String> tell;
    private final Consumer<String> remark;
    private final Executor reader =
            Executors.newSingleThreadExecutor(
                    Thread.ofPlatform().name("ivrik-import").daemon().factory());

    /**
     * @param tell a title and a text for what could not be brought in
     * @param remark what is not as one would expect of what was
     */
    Importer(Session session, BiConsumer<String, String> tell, Consumer<String> remark) {
        this.session = session;
        this.tell = tell;
        this.remark = remark;
    }

    /**
     * Brings files in, in their order.
     *
     * @param then run when all of them are in, or said not to be
     */
    void bringIn(List<Path> files, Runnable then) {
        reader.execute(
                () -> {
                    for (Path file : files) {
                        look(
                                NumberedSequence.isPattern(file)
                                        ? file
                                        : NumberedSequence.around(file).orElse(file),
                                "",
                                source ->
                                        session.edit(
                                                "Bring in " + source.name(),
                                                p -> Arrange.putOn(p, named(p, source))));
                    }
                    Platform.runLater(then);
                });
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
        Platform.runLater(() -> tell.accept("Could not read " + file.getFileName(), e.oneLine()));
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
                    () -> tell.accept("Could not bring in " + file.getFileName(), e.oneLine()));
        }
    }

    /** With an id of its own. */
    private static Source named(Project project, Source source) {
        return source.withId(Arrange.freeSourceId(project, source.name()));
    }
}
