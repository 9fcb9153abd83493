package ivrik.app.session;

import ivrik.core.json.ProjectJson;
import ivrik.media.file.ProjectFile;

import org.slf4j.LoggerFactory;

import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.atomic.AtomicReference;

/** The project that a window starts with is read while the window is being made. */
public final class EarlyReading {
    private static final AtomicReference<CompletableFuture<Early>> BEGUN = new AtomicReference<>();

    private EarlyReading() {}

    private record Early(Path file, String text, ProjectJson.Reading reading) {}

    /**
     * Comes back at once. What keeps the file from being read is told when it is opened.
     *
     * @return what it says; empty if it cannot be read
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
        } catch (RuntimeException | Error e) { // whatever it is, it is met again and told there
            LoggerFactory.getLogger(EarlyReading.class).info("not read early", e);
            return null;
        }
    }

    /** What a file's text says: as it was read early if it still is the same, which is so once; else read now. */
    static ProjectJson.Reading of(String text, Path file) {
        CompletableFuture<Early> begun = BEGUN.getAndSet(null);
        Early early = begun == null ? null : begun.join();
        return early != null && early.file.equals(file) && early.text.equals(text)
                ? early.reading
                : ProjectFile.parse(text, file);
    }
}
