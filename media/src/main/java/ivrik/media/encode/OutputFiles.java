package ivrik.media.encode;

import ivrik.core.project.FrameRange;
import ivrik.media.TargetExistsException;
import ivrik.media.UnwritableTargetException;
import ivrik.media.decode.NumberedSequence;
import ivrik.media.file.SafeFile;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** Checks output files before writing. */
public final class OutputFiles {
    private OutputFiles() {}

    /**
     * Existing files of an export.
     *
     * @param out a file or the pattern of a numbered sequence
     */
    public static List<Path> existing(Path out, FrameRange range) {
        if (!NumberedSequence.isPattern(out)) {
            return existing(List.of(out));
        }
        return existing(
                NumberedSequence.files(out).keySet().stream()
                        .filter(range::contains)
                        .map(n -> NumberedSequence.numbered(out, n))
                        .toList());
    }

    /** Existing regular files among several; folders and devices fail when written. */
    public static List<Path> existing(Collection<Path> outs) {
        return outs.stream().filter(Files::isRegularFile).toList();
    }

    /**
     * Checks that no input is overwritten.
     *
     * @param outs existing output files
     * @param inputs files or patterns of numbered sequences; missing ones are ignored
     * @throws UnwritableTargetException if an output is an input, under any name
     */
    public static void protect(Collection<Path> outs, Collection<Path> inputs) {
        if (outs.isEmpty()) {
            return;
        }
        Set<Path> read = new HashSet<>();
        inputs.stream().flatMap(i -> there(i).stream()).map(OutputFiles::real).forEach(read::add);
        for (Path out : outs) {
            if (read.contains(real(out))) {
                throw new UnwritableTargetException(
                        out + " is a source of this export and would be overwritten",
                        "choose another name or another folder",
                        null);
            }
        }
    }

    /** Existing files of a name, which may be the pattern of a numbered sequence. */
    static List<Path> there(Path file) {
        return Files.exists(file)
                ? List.of(file)
                : NumberedSequence.isPattern(file)
                        ? List.copyOf(NumberedSequence.files(file).values())
                        : List.of();
    }

    private static Path real(Path file) {
        try {
            return file.toRealPath();
        } catch (IOException e) {
            throw SafeFile.fault(file, e);
        }
    }

    /**
     * @throws TargetExistsException if the list is not empty
     */
    public static void refuse(List<Path> existing) {
        if (!existing.isEmpty()) {
            throw new TargetExistsException(existing);
        }
    }

    /** The name, with the lowest number appended that makes it unused. */
    public static Path free(Path out) {
        String name = out.getFileName().toString();
        int end = name.contains("-%") ? name.indexOf("-%") : name.lastIndexOf('.');
        String stem = end > 0 ? name.substring(0, end) : name;
        Path free = out;
        for (int n = 2; isTaken(free); n++) {
            free = out.resolveSibling(stem + "-" + n + name.substring(stem.length()));
        }
        return free;
    }

    private static boolean isTaken(Path out) {
        return Files.exists(out)
                || NumberedSequence.isPattern(out) && !NumberedSequence.files(out).isEmpty();
    }
}
