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

/** Files about to be written, looked at before the first of them is. */
public final class OutputFiles {
    private OutputFiles() {}

    /**
     * Which of the files that a name and a range of frames stand for are there already.
     *
     * @param out a file, or the pattern of a numbered sequence
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

    /** Those of several files that are there already; folders and devices are told by writing. */
    public static List<Path> existing(Collection<Path> outs) {
        return outs.stream().filter(Files::isRegularFile).toList();
    }

    /**
     * Sees to it that nothing that is read is written over.
     *
     * @param outs what will be written and is there already
     * @param inputs files, or patterns of numbered sequences; what is missing is of no matter
     * @throws UnwritableTargetException if one of {@code outs} is an input, by whatever name
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
                        out + " would be written over, and it is read from",
                        "choose another name or another folder",
                        null);
            }
        }
    }

    /** The files that a name stands for, which may be the pattern of a numbered sequence. */
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
     * @throws TargetExistsException if there is one
     */
    public static void refuse(List<Path> existing) {
        if (!existing.isEmpty()) {
            throw new TargetExistsException(existing);
        }
    }

    /** The name, or with the lowest number behind it that makes it free. */
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
