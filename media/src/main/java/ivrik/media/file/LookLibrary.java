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

/** The user's own looks: one file each, in a folder of theirs. */
public final class LookLibrary {
    public static final String ENDING = ".look.json";

    private final Path folder;

    /**
     * @param folder which need not be there yet
     */
    public LookLibrary(Path folder) {
        this.folder = folder;
    }

    /** Where this user's looks are. */
    public static Path usual() {
        return in(UserFolder.data());
    }

    /** Where they are in a folder of settings. */
    public static Path in(Path data) {
        return data.resolve("looks");
    }

    /**
     * A look that is kept.
     *
     * @param problems what of its file could not be read, and is left out
     * @param picture the bytes of a small PNG; none where it has none
     */
    public record Kept(Path file, Look look, List<String> problems, byte[] picture) {}

    /**
     * All that is there, by their titles.
     *
     * @param faults what could not be read at all, in words
     */
    public record Contents(List<Kept> looks, List<String> faults) {}

    /** Reads all of it. */
    public Contents contents() {
        List<Kept> looks = new ArrayList<>();
        List<String> faults = new ArrayList<>();
        for (Path file : files()) {
            try {
                looks.add(read(file));
            } catch (IvrikException e) {
                faults.add(file.getFileName() + ": " + e.oneLine());
            }
        }
        looks.sort(Comparator.comparing(k -> k.look().shownName().toLowerCase(Locale.ROOT)));
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

    /** Whether a file is named as looks are. */
    public static boolean isLook(Path file) {
        String name = file.getFileName().toString();
        return name.endsWith(ENDING) && !name.startsWith(".");
    }

    /**
     * A look file anywhere, as far as it can be read.
     *
     * @throws IvrikException if it is missing, no look, or of a newer version
     */
    public static Kept read(Path file) {
        LookJson.Reading reading = reading(file);
        return new Kept(file, reading.look(), reading.problems(), reading.picture());
    }

    private static LookJson.Reading reading(Path file) {
        try {
            return LookJson.read(ProjectFile.text(file));
        } catch (ForeignFileException e) {
            throw e.of(file.toString());
        }
    }

    /** Writes a look anywhere, whole or not at all. */
    public static void write(Look look, byte[] picture, Path file) {
        SafeFile.write(file, LookJson.write(look, picture));
    }

    /** Keeps a look under its name, in the place of what was kept under that. */
    public Path keep(Look look, byte[] picture) {
        try {
            Files.createDirectories(folder);
        } catch (IOException e) {
            throw SafeFile.fault(folder, e);
        }
        Path file = place(look);
        write(look, picture, file);
        return file;
    }

    /** Takes one out, for good. */
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
