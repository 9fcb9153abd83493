package ivrik.media.pack;

import ivrik.media.MissingFileException;
import ivrik.media.UnreadableMediaException;
import ivrik.media.UnwritableTargetException;
import ivrik.media.file.ProjectFile;
import ivrik.media.file.SafeFile;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Stream;
import java.util.zip.CRC32;
import java.util.zip.CheckedInputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;

/**
 * Extracts a package to a new folder, which appears only when complete. Nothing is written outside the
 * folder, and no more than the package declares.
 */
public final class Unpacking {
    private static final int MAX_ENTRIES = 1_000_000;

    /** Largest plausible compression ratio of media. */
    private static final long MAX_SHRUNK = 200;

    /** Smaller files are exempt from the ratio. */
    private static final long SMALL_BYTES = 16 << 20;

    private static final String ADVICE = "get the package again or choose another";

    private final Path zip;

    private Unpacking(Path zip) {
        this.zip = zip;
    }

    /**
     * Extracts a package.
     *
     * @param folder missing or empty
     * @return the project file
     * @throws MissingFileException if the package does not exist
     * @throws UnreadableMediaException if the package is damaged or inconsistent
     * @throws UnwritableTargetException if the folder is not empty, or the disk is full
     */
    public static Path into(Path zip, Path folder) {
        if (!Files.isRegularFile(zip)) {
            throw new MissingFileException(zip.toString());
        }
        return new Unpacking(zip).into(folder.toAbsolutePath().normalize());
    }

    private Path into(Path folder) {
        Path aside = folder.resolveSibling("." + folder.getFileName() + ".part");
        try (ZipFile packed = new ZipFile(zip.toFile(), StandardCharsets.UTF_8)) {
            List<ZipEntry> entries = checked(packed);
            String project = project(entries);
            prepare(folder, aside, entries);
            try {
                for (ZipEntry entry : entries) {
                    copy(packed, entry, aside.resolve(entry.getName()));
                }
                Files.deleteIfExists(folder);
                Files.move(aside, folder);
            } finally {
                clear(aside);
            }
            return folder.resolve(project);
        } catch (ZipException e) {
            throw damaged("the file is not a readable zip file", e);
        } catch (IOException e) {
            throw SafeFile.fault(folder, e);
        }
    }

    /** All file entries, checked for safe paths. */
    private List<ZipEntry> checked(ZipFile packed) {
        if (packed.size() > MAX_ENTRIES) {
            throw damaged("the package holds " + packed.size() + " files", null);
        }
        List<ZipEntry> entries = new ArrayList<>();
        Set<String> names = new HashSet<>();
        for (ZipEntry entry : packed.stream().filter(e -> !e.isDirectory()).toList()) {
            String name = entry.getName();
            if (!isInside(name)) {
                throw damaged(
                        "the package contains '" + name + "', which points outside the package",
                        null);
            }
            if (!names.add(name.toLowerCase(Locale.ROOT))) {
                throw damaged("the package holds '" + name + "' twice", null);
            }
            long size = entry.getSize();
            long shrunk = Math.max(1, entry.getCompressedSize());
            if (size < 0 || size > SMALL_BYTES && size / shrunk > MAX_SHRUNK) {
                throw damaged("'" + name + "' expands to an unreasonable size", null);
            }
            entries.add(entry);
        }
        return entries;
    }

    private static boolean isInside(String name) {
        try {
            Path path = Path.of(name);
            boolean plain = !name.contains("\\") && !name.contains(":") && !path.isAbsolute();
            return plain && path.equals(path.normalize()) && !path.startsWith("..");
        } catch (InvalidPathException e) {
            return false;
        }
    }

    private String project(List<ZipEntry> entries) {
        List<String> projects =
                entries.stream()
                        .map(ZipEntry::getName)
                        .filter(n -> n.endsWith(ProjectFile.ENDING) && !n.contains("/"))
                        .toList();
        if (projects.size() != 1) {
            throw new UnreadableMediaException(
                    zip + " is not an Ivrik package: it has no project at the top level",
                    "choose a file that was packed by Ivrik");
        }
        return projects.getFirst();
    }

    private static void prepare(Path folder, Path aside, List<ZipEntry> entries)
            throws IOException {
        if (Files.exists(folder) && !isEmptyFolder(folder)) {
            throw new UnwritableTargetException(
                    folder + " is not empty", "choose a new or empty folder", null);
        }
        clear(aside);
        Files.createDirectories(aside);
        long room = Files.getFileStore(aside).getUsableSpace();
        long wanted = entries.stream().mapToLong(ZipEntry::getSize).sum();
        if (wanted < 0 || wanted > room) {
            clear(aside);
            throw new UnwritableTargetException(
                    "the package needs "
                            + (wanted >> 20)
                            + " MB, only "
                            + (room >> 20)
                            + " MB are free",
                    "free disk space or choose another disk",
                    null);
        }
    }

    private static boolean isEmptyFolder(Path folder) throws IOException {
        if (!Files.isDirectory(folder)) {
            return false;
        }
        try (Stream<Path> files = Files.list(folder)) {
            return files.findAny().isEmpty();
        }
    }

    /** Copies at most the declared size. */
    private void copy(ZipFile packed, ZipEntry entry, Path to) throws IOException {
        Files.createDirectories(to.getParent());
        CRC32 sum = new CRC32();
        try (InputStream in = new CheckedInputStream(packed.getInputStream(entry), sum);
                OutputStream out = Files.newOutputStream(to)) {
            byte[] some = new byte[1 << 16];
            long left = entry.getSize();
            for (int n = in.read(some); n >= 0; n = in.read(some)) {
                left -= n;
                if (left < 0) {
                    throw damaged("'" + entry.getName() + "' is longer than its stated size", null);
                }
                out.write(some, 0, n);
            }
            if (left > 0 || sum.getValue() != entry.getCrc()) {
                throw damaged("the checksum of '" + entry.getName() + "' does not match", null);
            }
        }
    }

    private static void clear(Path folder) throws IOException {
        if (!Files.exists(folder)) {
            return;
        }
        try (Stream<Path> files = Files.walk(folder)) {
            for (Path file : files.sorted(Comparator.reverseOrder()).toList()) {
                Files.delete(file);
            }
        }
    }

    private UnreadableMediaException damaged(String what, Exception cause) {
        return new UnreadableMediaException(zip + " is damaged: " + what, ADVICE, cause);
    }
}
