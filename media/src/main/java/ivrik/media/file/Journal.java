package ivrik.media.file;

import ivrik.core.json.ProjectJson;
import ivrik.core.project.Project;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;

/**
 * The work as of a few seconds ago, kept beside the project (or in the user's data folder while it
 * has no name) until it is saved. A journal that is still there at the next start is work that was
 * lost, and is offered back.
 */
public final class Journal {
    private final Path file;

    private Journal(Path file) {
        this.file = file;
    }

    public static Journal beside(Path project) {
        return new Journal(project.resolveSibling("." + project.getFileName() + ".journal"));
    }

    /** The journal of work without a name yet. */
    public static Journal unnamed(Path dataFolder) {
        return new Journal(dataFolder.resolve("unnamed" + ProjectFile.ENDING + ".journal"));
    }

    public Path file() {
        return file;
    }

    public void write(Project project) {
        SafeFile.write(file, ProjectJson.write(project));
    }

    /** The work in it, as far as it can be read; empty if there is none. */
    public Optional<ProjectJson.Reading> read() {
        return Files.isRegularFile(file) ? Optional.of(ProjectFile.load(file)) : Optional.empty();
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
