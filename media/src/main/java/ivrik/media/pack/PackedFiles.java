package ivrik.media.pack;

import ivrik.core.project.Project;
import ivrik.core.project.Source;
import ivrik.core.project.Title;
import ivrik.media.MissingFileException;
import ivrik.media.UnreadableMediaException;
import ivrik.media.decode.Import;
import ivrik.media.decode.NumberedSequence;
import ivrik.media.file.ProjectFile;
import ivrik.media.vector.FontFiles;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The files of a project, including title fonts, and their names in the package. */
final class PackedFiles {
    private static final String FOLDER = "media/";

    /** Links in a vector graphic. */
    private static final Pattern LINK =
            Pattern.compile("(?:href|src)\\s*=\\s*[\"']([^\"'#]+)|url\\(\\s*[\"']?([^\"')#]+)");

    private final Map<String, Path> files = new LinkedHashMap<>();
    private final Project project;

    /**
     * @param whole project with absolute media paths
     * @throws MissingFileException if a file is missing
     */
    PackedFiles(Project whole) {
        project = whole.withSources(whole.sources().stream().map(this::packed).toList());
        whole.sources().stream()
                .filter(s -> s.kind() == Source.Kind.TITLE)
                .flatMap(s -> s.title().stream())
                .map(Title::family)
                .distinct()
                .flatMap(family -> FontFiles.of(family).stream())
                .forEach(font -> files.put(FontFiles.FOLDER + "/" + font.getFileName(), font));
    }

    /** The project with the paths of the package. */
    Project project() {
        return project;
    }

    /** Each file by its name in the package. */
    Map<String, Path> files() {
        return files;
    }

    private Source packed(Source source) {
        if (!source.kind().isFile()) {
            return source;
        }
        Path path = Path.of(source.path());
        return source.withPath(
                switch (source.kind()) {
                    case SEQUENCE -> sequence(path);
                    case VECTOR -> graphic(path);
                    default -> one(path);
                });
    }

    /** A file under its own name, with the lowest number prefixed that makes it unique. */
    private String one(Path path) {
        require(path);
        String name = path.getFileName().toString();
        String free = FOLDER + name;
        for (int n = 2; !files.getOrDefault(free, path).equals(path); n++) {
            free = FOLDER + n + "-" + name;
        }
        files.put(free, path);
        return free;
    }

    private String sequence(Path pattern) {
        Collection<Path> numbered = NumberedSequence.files(pattern).values();
        if (numbered.isEmpty()) {
            throw new MissingFileException(pattern.toString());
        }
        String folder = folder(pattern);
        numbered.forEach(file -> files.put(folder + file.getFileName(), file));
        return folder + pattern.getFileName();
    }

    /** A graphic and the linked files in its folder. */
    private String graphic(Path path) {
        require(path);
        String folder = folder(path);
        try {
            Path home = path.toRealPath().getParent();
            files.put(folder + path.getFileName(), path);
            Matcher link = LINK.matcher(Files.readString(path, StandardCharsets.ISO_8859_1));
            while (link.find()) {
                inside(home, link.group(1) == null ? link.group(2) : link.group(1))
                        .ifPresent(
                                file -> files.put(folder + ProjectFile.relative(home, file), file));
            }
        } catch (IOException e) {
            throw new UnreadableMediaException(
                    "cannot read " + path, "check that you may read it", e);
        }
        return folder + path.getFileName();
    }

    private static Optional<Path> inside(Path home, String link) throws IOException {
        try {
            Path file = home.resolve(link.strip()).normalize();
            return file.startsWith(home) && Files.isRegularFile(file)
                    ? Optional.of(file)
                    : Optional.empty();
        } catch (InvalidPathException e) {
            return Optional.empty(); // the link does not refer to a file
        }
    }

    /** A separate folder named after the file. */
    private String folder(Path path) {
        String stem = FOLDER + Import.name(path).replaceAll("[^\\p{L}\\p{N}]+", "-");
        String free = stem + "/";
        for (int n = 2; isTaken(free); n++) {
            free = stem + "-" + n + "/";
        }
        return free;
    }

    private boolean isTaken(String folder) {
        return files.keySet().stream().anyMatch(f -> f.startsWith(folder));
    }

    private static void require(Path path) {
        if (!Files.isRegularFile(path)) {
            throw new MissingFileException(path.toString());
        }
    }
}
