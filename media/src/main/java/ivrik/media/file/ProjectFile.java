package ivrik.media.file;

import ivrik.core.json.ForeignFileException;
import ivrik.core.json.ProjectJson;
import ivrik.core.project.Project;
import ivrik.media.MissingFileException;
import ivrik.media.UnreadableMediaException;
import ivrik.media.vector.FontFiles;
import ivrik.media.vector.ShippedFonts;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.function.UnaryOperator;

/**
 * Projects on disk. In a file media paths are relative to its folder, where they can be; a project
 * that is open has whole paths, which hold wherever it is saved. Fonts that lie beside it are made known if its titles
 * need them.
 */
public final class ProjectFile {
    public static final String ENDING = ".ivrik";

    /** Tables lie in looks and projects: one of 129 points has 60 MB. */
    private static final long LARGEST_BYTES = 256L << 20;

    private ProjectFile() {}

    /**
     * Reads a project as far as it can be, its media paths whole; the file is not touched.
     *
     * @throws MissingFileException if it is not there
     * @throws UnreadableMediaException if it cannot be read at all
     * @throws ivrik.core.json.ForeignFileException if it is no project, or a newer one
     */
    public static ProjectJson.Reading open(Path file) {
        return parse(text(file), file);
    }

    /** The project in a file's text, its media paths whole. */
    public static ProjectJson.Reading parse(String text, Path file) {
        ProjectJson.Reading reading;
        try {
            reading = ProjectJson.read(text);
        } catch (ForeignFileException e) {
            throw e.of(file.toString());
        }
        Path folder = file.toAbsolutePath().getParent();
        Project whole = whole(reading.project(), folder);
        boolean unknown =
                whole.sources().stream()
                        .flatMap(s -> s.title().stream())
                        .anyMatch(t -> !ShippedFonts.has(t.family()));
        if (unknown) {
            FontFiles.learn(folder.resolve(FontFiles.FOLDER));
        }
        return new ProjectJson.Reading(whole, reading.problems());
    }

    /** Where a link to a project leads to; of one that is missing, which is told when it is read, its whole path. */
    public static Path real(Path file) {
        try {
            return file.toRealPath();
        } catch (IOException e) {
            return file.toAbsolutePath().normalize();
        }
    }

    /** The text of a JSON file of ours. */
    public static String text(Path file) {
        if (!Files.isRegularFile(file)) {
            throw new MissingFileException(file.toString());
        }
        try {
            return new String(WholeFile.bytes(file, LARGEST_BYTES), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UnreadableMediaException(
                    "cannot read " + file,
                    "check that you may read it and that its disk is there",
                    e);
        }
    }

    /** Writes a project, whole or not at all; what was written. */
    public static String save(Path file, Project project) {
        String text = ProjectJson.write(relative(project, file.toAbsolutePath().getParent()));
        SafeFile.write(file, text);
        return text;
    }

    /** The project with its media paths as seen from a folder. */
    public static Project relative(Project project, Path folder) {
        return withPaths(project, path -> relative(folder, Path.of(path)));
    }

    /** The project with media paths that are relative to a folder made whole. */
    public static Project whole(Project project, Path folder) {
        return withPaths(
                project, path -> folder.toAbsolutePath().resolve(path).normalize().toString());
    }

    private static Project withPaths(Project project, UnaryOperator<String> change) {
        return project.withSources(
                project.sources().stream()
                        .map(s -> s.kind().isFile() ? s.withPath(change.apply(s.path())) : s)
                        .toList());
    }

    /** A path as seen from a folder, with forward slashes on any system; whole where it lies on another disk. */
    public static String relative(Path folder, Path media) {
        Path absolute = media.toAbsolutePath().normalize();
        Path base = folder.toAbsolutePath().normalize();
        if (!absolute.getRoot().equals(base.getRoot())) {
            return absolute.toString();
        }
        Path seen = base.relativize(absolute);
        return seen.toString().replace(seen.getFileSystem().getSeparator(), "/");
    }
}
