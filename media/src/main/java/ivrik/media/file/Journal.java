package ivrik.media.file;

import ivrik.core.json.ProjectJson;
import ivrik.core.project.Project;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.atomic.AtomicLong;

/**
 * The work of one window as of a moment ago, in a file of its own that only its user may read: beside
 * the project, or in the user's data folder while the work has no name. It is a project file like any
 * other. One that is still there when its window's process has ended is {@link LostWork}.
 */
public final class Journal {
    static final String ENDING = ".journal";
    private static final AtomicLong NUMBER = new AtomicLong();

    private final Path file;

    private Journal(Path folder, String prefix) {
        this.file =
                folder.resolve(
                        prefix + Owner.self().token() + "." + NUMBER.incrementAndGet() + ENDING);
    }

    /** A new one for a window's work on a saved project. */
    public static Journal beside(Path project) {
        return new Journal(project.toAbsolutePath().getParent(), prefix(project));
    }

    /** A new one for a window's work that has no name yet, or whose folder cannot be written to. */
    public static Journal unnamed(Path dataFolder) {
        return new Journal(dataFolder, UNNAMED);
    }

    static final String UNNAMED = "unnamed" + ProjectFile.ENDING + ".";

    /** What the names of all journals of a project begin with. */
    static String prefix(Path project) {
        return "." + SafeFile.shortened(project.getFileName().toString()) + ".";
    }

    public Path file() {
        return file;
    }

    /**
     * @param project with whole media paths; they are written relative to the journal's folder
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

    /** The work is saved, or not wanted. */
    public void clear() {
        try {
            Files.deleteIfExists(file);
        } catch (IOException e) {
            throw SafeFile.fault(file, e);
        }
    }
}
