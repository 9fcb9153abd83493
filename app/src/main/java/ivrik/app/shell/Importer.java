package ivrik.app.shell;

import ivrik.app.session.Document;
import ivrik.app.session.Session;
import ivrik.core.IvrikException;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Lists;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.project.Sequence;
import ivrik.core.project.Source;
import ivrik.media.decode.Import;
import ivrik.media.decode.NumberedSequence;

import javafx.application.Platform;

import java.nio.file.Path;
import java.util.List;
import java.util.function.BiConsumer;
import java.util.stream.IntStream;

/** Files coming into the project; looked into off the interface thread. */
final class Importer {
    private final Session session;
    private final Document document;
    private final BiConsumer<String, String> tell;

    /**
     * @param tell a title and a text for what could not be brought in
     */
    Importer(Session session, Document document, BiConsumer<String, String> tell) {
        this.session = session;
        this.document = document;
        this.tell = tell;
    }

    void bringIn(List<Path> files) {
        Path folder = document.folder();
        for (Path file : files) {
            look(
                    NumberedSequence.isPattern(file)
                            ? file
                            : NumberedSequence.around(file).orElse(file),
                    folder,
                    "",
                    source ->
                            session.edit(
                                    "Bring in " + source.name(),
                                    p -> withPlaced(p, named(p, source))));
        }
    }

    /** Another file for a source; everything built on it stays. */
    void replace(Source old, Path file) {
        look(
                file,
                document.folder(),
                old.id(),
                source -> session.edit("Replace " + old.name(), p -> p.withSource(source)));
    }

    private void look(Path file, Path folder, String id, java.util.function.Consumer<Source> then) {
        Thread.ofPlatform()
                .name("ivrik-import")
                .daemon()
                .start(
                        () -> {
                            try {
                                Source source = Import.source(file, folder, id);
                                Platform.runLater(() -> then.accept(source));
                            } catch (IvrikException e) {
                                Platform.runLater(
                                        () ->
                                                tell.accept(
                                                        "Could not bring in " + file.getFileName(),
                                                        e.oneLine()));
                            }
                        });
    }

    /** With an id of its own. */
    private static Source named(Project project, Source source) {
        String id =
                IntStream.iterate(1, n -> n + 1)
                        .mapToObj(n -> n == 1 ? source.name() : source.name() + " " + n)
                        .filter(n -> project.source(n).isEmpty())
                        .findFirst()
                        .orElseThrow();
        return source.withId(id);
    }

    /**
     * Lists a source and puts it on: the first one decides size and rate, the next follow it as shots,
     * and a vector graphic lies over the shots as a layer of its own.
     */
    static Project withPlaced(Project project, Source source) {
        Project listed = project.withSource(source);
        if (listed.layers().isEmpty()) {
            Sequence sequence =
                    new Sequence(
                            source.size(),
                            source.kind().isStill() ? project.sequence().rate() : source.rate());
            Clip clip = new Clip(source.id(), 0, Import.length(source, sequence), 0);
            return listed.withSequence(sequence)
                    .withLayers(
                            List.of(
                                    Layer.of(
                                            "shots",
                                            "shots",
                                            BuiltInLooks.named("in-register"),
                                            clip)));
        }
        if (source.kind().isDrawn()) {
            Clip clip = new Clip(source.id(), 0, listed.frames(), 0);
            return listed.withLayers(
                    Lists.plus(
                            listed.layers(),
                            Layer.of(
                                    source.id(),
                                    source.name(),
                                    BuiltInLooks.named("in-register"),
                                    clip)));
        }
        Layer shots = listed.layers().getFirst();
        Clip clip = new Clip(source.id(), shots.end(), Import.length(source, listed.sequence()), 0);
        return listed.withLayer(shots.id(), l -> l.withClips(Lists.plus(l.clips(), clip)));
    }

    void remove(Source source) {
        session.edit(
                "Take out " + source.name(),
                p ->
                        p.withSources(
                                        p.sources().stream()
                                                .filter(s -> !s.id().equals(source.id()))
                                                .toList())
                                .withLayers(
                                        p.layers().stream()
                                                .map(
                                                        l ->
                                                                l.withClips(
                                                                        l.clips().stream()
                                                                                .filter(
                                                                                        c ->
                                                                                                !c.source()
                                                                                                        .equals(
                                                                                                                source
                                                                                                                        .id()))
                                                                                .toList()))
                                                .filter(l -> !l.clips().isEmpty())
                                                .toList()));
    }
}
