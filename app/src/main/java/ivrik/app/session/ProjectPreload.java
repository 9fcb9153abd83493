package ivrik.app.session;

import ivrik.core.json.ProjectJson;
import ivrik.media.file.ProjectFile;

import org.slf4j.LoggerFactory;

import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.atomic.AtomicReference;

/** Reads the first project while the window is being built. */
public final class ProjectPreload {
    private static final AtomicReference<CompletableFuture<Early>> BEGUN = new AtomicReference<>();

    private ProjectPreload() {}

    private record Early(Path file, String text, ProjectJson.Reading reading) {}

    /**
     * Starts reading and returns immediately; errors are reported when the project is opened.
     *
     * @return the project; empty if it cannot be read
     */
    public static CompletableFuture<Optional<ProjectJson.Reading>> begin(Path project) {
        CompletableFuture<Early> early = new CompletableFuture<>();
        BEGUN.set(early);
        Thread.ofPlatform().daemon().name("ivrik-early").start(() -> early.complete(read(project)));
        return early.thenApply(e -> Optional.ofNullable(e).map(Early::reading));
    }

    private static Early read(Path project) {
        Path real = ProjectFile.real(project);
        try {
            String text = ProjectFile.text(real);
            return new Early(real, text, ProjectFile.parse(text, real));
        } catch (RuntimeException
                | Error e) { // the error occurs again and is reported when the project is opened
            LoggerFactory.getLogger(ProjectPreload.class)
                    .info("the project was not read in advance", e);
            return null;
        }
    }

    /**
     * The parsed project: the preloaded one if the text is the same, once; otherwise parsed now.
     */
    static ProjectJson.Reading of(String text, Path file) {
        CompletableFuture<Early> begun = BEGUN.getAndSet(null);
        Early early = begun == null ? null : begun.join();
        return early != null && early.file.equals(file) && early.text.equals(text)
                ? early.reading
                : ProjectFile.parse(text, file);
    }
}
