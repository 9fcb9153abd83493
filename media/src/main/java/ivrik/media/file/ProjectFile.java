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
 * Project files. Stored media paths are relative to the project's folder where possible; an open project has
 * absolute paths. Fonts beside a project are registered if its titles need them.
 */
public final class ProjectFile {
    public static final String ENDING = ".ivrik";

    /** Limit for files with embedded tables; a table of 129 points has 60 MB. */
    private static final long LARGEST_BYTES = 256L << 20;

    private ProjectFile() {}

    /**
     * Reads a project as far as possible, with absolute media paths; the file is not changed.
     *
     * @throws MissingFileException if the file does not exist
     * @throws UnreadableMediaException if the file cannot be read at all
     * @throws ivrik.core.json.ForeignFileException if the file is not a project, or of a newer version
     */
    public static ProjectJson.Reading open(Path file) {
        return parse(text(file), file);
    }

    /** Parses a project's text, with absolute media paths. */
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

    /** The target of a link; the absolute path of a missing file. */
    public static Path real(Path file) {
        try {
            return file.toRealPath();
        } catch (IOException e) {
            return file.toAbsolutePath().normalize();
        }
    }

    /** The text of one of Ivrik's JSON files. */
    public static String text(Path file) {
        if (!Files.isRegularFile(file)) {
            throw new MissingFileException(file.toString());
        }
        try {
            return new String(WholeFile.bytes(file, LARGEST_BYTES), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UnreadableMediaException(
                    "cannot read " + file,
                    "check the read permission and that the disk is mounted",
                    e);
        }
    }

    /** Writes a project completely or not at all; returns the text. */
    public static String save(Path file, Project project) {
        String text = ProjectJson.write(relative(project, file.toAbsolutePath().getParent()));
        SafeFile.write(file, text);
        return text;
    }

    /** The project with media paths relative to a folder. */
    public static Project relative(Project project, Path folder) {
        return withPaths(project, path -> relative(folder, Path.of(path)));
    }

    /** The project with relative media paths resolved against a folder. */
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

    /** A path relative to a folder, with forward slashes; absolute if on another disk. */
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
