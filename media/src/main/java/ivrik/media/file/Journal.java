package ivrik.media.file;

import ivrik.core.json.ProjectJson;
import ivrik.core.project.Project;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.atomic.AtomicLong;

/**
 * Backup of one window's unsaved work: a project file that only its user may read, beside the project, or in
 * the user's data folder for an unnamed project. A journal whose window's process has ended is
 * {@link RecoverableWork}.
 */
public final class Journal {
    static final String ENDING = ".journal";
    private static final AtomicLong NUMBER = new AtomicLong();

    private final Path file;

    private Journal(Path folder, String prefix) {
        this.file =
                folder.resolve(
                        prefix
                                + ProcessOwner.self().token()
                                + "."
                                + NUMBER.incrementAndGet()
                                + ENDING);
    }

    /** A journal for a saved project. */
    public static Journal beside(Path project) {
        return new Journal(project.toAbsolutePath().getParent(), prefix(project));
    }

    /** A journal for an unnamed project, or one whose folder is not writable. */
    public static Journal unnamed(Path dataFolder) {
        return new Journal(dataFolder, UNNAMED);
    }

    static final String UNNAMED = "unnamed" + ProjectFile.ENDING + ".";

    /** Common prefix of all journals of a project. */
    static String prefix(Path project) {
        return "." + SafeFile.shortened(project.getFileName().toString()) + ".";
    }

    public Path file() {
        return file;
    }

    /**
     * @param project with absolute media paths, stored relative to the journal's folder
     */
    public void write(Project project) {
        try {
            Files.createDirectories(file.getParent());
        } catch (IOException e) {
            throw SafeFile.fault(file, e);
        }
        SafeFile.writePrivately(
                file, ProjectJson.write(ProjectFile.relative(project, file.getParent())));
    }

    /** Deletes the journal after saving or discarding. */
    public void clear() {
        try {
            Files.deleteIfExists(file);
        } catch (IOException e) {
            throw SafeFile.fault(file, e);
        }
    }
}
