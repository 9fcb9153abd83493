package ivrik.media.file;

import ivrik.core.IvrikException;
import ivrik.core.json.ForeignFileException;
import ivrik.core.json.LookJson;
import ivrik.core.look.Look;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/** The user's own looks: one file each, in one folder. */
public final class LookLibrary {
    public static final String ENDING = ".look.json";

    private final Path folder;

    /**
     * @param folder created when needed
     */
    public LookLibrary(Path folder) {
        this.folder = folder;
    }

    /** Default folder of this user. */
    public static Path usual() {
        return in(UserFolder.data());
    }

    /** The folder within a data folder. */
    public static Path in(Path data) {
        return data.resolve("looks");
    }

    /**
     * A saved look.
     *
     * @param problems messages about parts that could not be read
     * @param picture thumbnail as PNG; empty if there is none
     */
    public record SavedLook(Path file, Look look, List<String> problems, byte[] picture) {}

    /**
     * All saved looks, sorted by title.
     *
     * @param faults messages about unreadable files
     */
    public record Contents(List<SavedLook> looks, List<String> faults) {}

    /** Reads the library. */
    public Contents contents() {
        List<SavedLook> looks = new ArrayList<>();
        List<String> faults = new ArrayList<>();
        for (Path file : files()) {
            try {
                looks.add(read(file));
            } catch (IvrikException e) {
                faults.add(file.getFileName() + ": " + e.oneLine());
            }
        }
        looks.sort(Comparator.comparing(k -> k.look().displayName().toLowerCase(Locale.ROOT)));
        return new Contents(List.copyOf(looks), List.copyOf(faults));
    }

    private List<Path> files() {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(folder)) {
            return files.filter(f -> isLook(f) && Files.isRegularFile(f)).sorted().toList();
        } catch (IOException e) {
            throw SafeFile.fault(folder, e);
        }
    }

    /** Whether a file has the extension of looks. */
    public static boolean isLook(Path file) {
        String name = file.getFileName().toString();
        return name.endsWith(ENDING) && !name.startsWith(".");
    }

    /**
     * Reads any look file, as far as possible.
     *
     * @throws IvrikException if it is missing, not a look, or of a newer version
     */
    public static SavedLook read(Path file) {
        LookJson.Reading reading = reading(file);
        return new SavedLook(file, reading.look(), reading.problems(), reading.picture());
    }

    private static LookJson.Reading reading(Path file) {
        try {
            return LookJson.read(ProjectFile.text(file));
        } catch (ForeignFileException e) {
            throw e.of(file.toString());
        }
    }

    /** Writes a look to any file, completely or not at all. */
    public static void write(Look look, byte[] picture, Path file) {
        SafeFile.write(file, LookJson.write(look, picture));
    }

    /** Saves a look under its name; replaces an existing one. */
    public Path save(Look look, byte[] picture) {
        try {
            Files.createDirectories(folder);
        } catch (IOException e) {
            throw SafeFile.fault(folder, e);
        }
        Path file = place(look);
        write(look, picture, file);
        return file;
    }

    /** Deletes a look permanently. */
    public void remove(Path file) {
        try {
            Files.deleteIfExists(file);
        } catch (IOException e) {
            throw SafeFile.fault(file, e);
        }
    }

    private Path place(Look look) {
        return folder.resolve(look.name() + ENDING);
    }
}
