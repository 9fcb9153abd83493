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
 * A package taken apart into a folder of its own, which is there only when it is whole. Nothing is written
 * outside of it, and no more than the package says at its beginning.
 */
public final class Unpacking {
    private static final int MOST_ENTRIES = 1_000_000;

    /** Media that shrink further than this are none. */
    private static final long MOST_SHRUNK = 200;

    /** Small files may be as even as they like. */
    private static final long SMALL_BYTES = 16 << 20;

    private static final String ADVICE = "ask for the package again, or unpack another";

    private final Path zip;

    private Unpacking(Path zip) {
        this.zip = zip;
    }

    /**
     * Takes a package apart.
     *
     * @param folder which is not there yet, or empty
     * @return the project's file
     * @throws MissingFileException if there is no package
     * @throws UnreadableMediaException if it is damaged, no package, or not what it says it is
     * @throws UnwritableTargetException if the folder holds anything, or there is no room
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
            throw damaged("it cannot be read as a zip file", e);
        } catch (IOException e) {
            throw SafeFile.fault(folder, e);
        }
    }

    /** All files in it, each of which may be written into a folder. */
    private List<ZipEntry> checked(ZipFile packed) {
        if (packed.size() > MOST_ENTRIES) {
            throw damaged("it holds " + packed.size() + " files", null);
        }
        List<ZipEntry> entries = new ArrayList<>();
        Set<String> names = new HashSet<>();
        for (ZipEntry entry : packed.stream().filter(e -> !e.isDirectory()).toList()) {
            String name = entry.getName();
            if (!isInside(name)) {
                throw damaged("it holds '" + name + "', which would lie outside of it", null);
            }
            if (!names.add(name.toLowerCase(Locale.ROOT))) {
                throw damaged("it holds '" + name + "' twice", null);
            }
            long size = entry.getSize();
            long shrunk = Math.max(1, entry.getCompressedSize());
            if (size < 0 || size > SMALL_BYTES && size / shrunk > MOST_SHRUNK) {
                throw damaged("'" + name + "' would grow beyond all bounds", null);
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
                    zip + " is no package of ours: there is no project at its top",
                    "choose a file that was packed by Ivrik");
        }
        return projects.getFirst();
    }

    private static void prepare(Path folder, Path aside, List<ZipEntry> entries)
            throws IOException {
        if (Files.exists(folder) && !isEmptyFolder(folder)) {
            throw new UnwritableTargetException(
                    folder + " holds something already", "choose the name of a new folder", null);
        }
        clear(aside);
        Files.createDirectories(aside);
        long room = Files.getFileStore(aside).getUsableSpace();
        long wanted = entries.stream().mapToLong(ZipEntry::getSize).sum();
        if (wanted < 0 || wanted > room) {
            clear(aside);
            throw new UnwritableTargetException(
                    "the package needs " + (wanted >> 20) + " MB and there are " + (room >> 20),
                    "free some space or choose another disk",
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

    /** No more than the entry says that there is. */
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
                    throw damaged("'" + entry.getName() + "' is longer than it says", null);
                }
                out.write(some, 0, n);
            }
            if (left > 0 || sum.getValue() != entry.getCrc()) {
                throw damaged("'" + entry.getName() + "' is not what it was", null);
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
