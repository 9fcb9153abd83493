package ivrik.media.file;

import ivrik.core.json.ProjectJson;
import ivrik.core.project.Project;
import ivrik.media.MissingFileException;
import ivrik.media.UnreadableMediaException;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;

/** Projects on disk; media paths are relative to the project's folder where they can be. */
public final class ProjectFile {
    public static final String ENDING = ".ivrik";
    private static final long LARGEST_BYTES = 256L << 20;

    private ProjectFile() {}

    /**
     * Reads a project as far as it can be; the file is not touched.
     *
     * @throws MissingFileException if it is not there
     * @throws UnreadableMediaException if it cannot be read at all
     * @throws ivrik.core.json.ForeignFileException if it is no project, or a newer one
     */
    public static ProjectJson.Reading load(Path file) {
        return ProjectJson.read(text(file));
    }

    /** The text of a JSON file of ours. */
    public static String text(Path file) {
        if (!Files.isRegularFile(file)) {
            throw new MissingFileException(file.toString());
        }
        try {
            if (Files.size(file) > LARGEST_BYTES) {
                throw new UnreadableMediaException(
                        file + " is far too large for a project or a look",
                        "choose a file that Ivrik has written");
            }
            return new String(Files.readAllBytes(file), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UnreadableMediaException(
                    "cannot read " + file,
                    "check that you may read it and that its disk is there",
                    e);
        }
    }

    /** Writes a project, whole or not at all. */
    public static void save(Path file, Project project) {
        SafeFile.write(file, ProjectJson.write(project));
    }

    /** A source's path as seen from the project's folder, with forward slashes. */
    public static String relative(Path folder, Path media) {
        Path absolute = media.toAbsolutePath().normalize();
        Path base = folder.toAbsolutePath().normalize();
        if (!absolute.getRoot().equals(base.getRoot())) {
            return absolute.toString();
        }
        return base.relativize(absolute).toString().replace('\\', '/');
    }

    /** The project with its media paths, relative to {@code from}, made relative to {@code to}. */
    public static Project rebased(Project project, Path from, Path to) {
        return project.withSources(
                project.sources().stream()
                        .map(
                                s ->
                                        s.kind().isFile()
                                                ? s.withPath(relative(to, from.resolve(s.path())))
                                                : s)
                        .toList());
    }
}
