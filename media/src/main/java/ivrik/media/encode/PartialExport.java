package ivrik.media.encode;

import ivrik.core.json.ProjectJson;
import ivrik.core.project.Source;
import ivrik.core.render.Renderer;
import ivrik.media.UnwritableTargetException;
import ivrik.media.decode.NumberedSequence;
import ivrik.media.file.ProcessOwner;
import ivrik.media.file.SafeFile;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.io.IOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HashSet;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * State of an unfinished export in a hidden folder beside the target: finished movie segments, or the list of
 * written stills. It is valid only for the same project, footage, format and settings, and deleted when the
 * export is complete.
 */
final class PartialExport implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(PartialExport.class);
    private static final String ENDING = ".unfinished";
    private static final String ORDER = "order";
    private static final String STILLS = "stills";
    private static final String PART = ".part.movie";

    private final Path folder;
    private final String order;
    private final Set<String> stills;

    private PartialExport(Path folder, String order, Set<String> stills) {
        this.folder = folder;
        this.order = order;
        this.stills = stills;
    }

    /** The state of an export by this build. */
    static PartialExport of(Export.Order order) {
        return of(order, program());
    }

    /** The state of one part of a shared export. */
    static PartialExport of(Export.Order order, ExportShare share) {
        Path name = order.out().getFileName();
        String own = name + "." + share.number() + "-of-" + share.of();
        return of(order, program(), folder(order.out().resolveSibling(own)));
    }

    /**
     * @param program identifies the build, because pixels may differ between builds
     */
    static PartialExport of(Export.Order order, String program) {
        return of(order, program, folder(order.out()));
    }

    private static PartialExport of(Export.Order order, String program, Path folder) {
        String mark = mark(order, program);
        return new PartialExport(
                folder,
                mark,
                mark.equals(text(folder.resolve(ORDER)).lines().findFirst().orElse(""))
                        ? new HashSet<>(List.of(text(folder.resolve(STILLS)).split("\n")))
                        : Set.of());
    }

    /** The folder for exports to a target. */
    static Path folder(Path out) {
        Path absolute = out.toAbsolutePath();
        return absolute.resolveSibling("." + absolute.getFileName() + ENDING);
    }

    private static String text(Path file) {
        try {
            return Files.isRegularFile(file) ? Files.readString(file) : "";
        } catch (IOException e) {
            LOG.warn("{} cannot be read; its part is rendered again", file, e);
            return "";
        }
    }

    /** A hash of everything that determines the output. */
    private static String mark(Export.Order o, String program) {
        StringBuilder all = new StringBuilder(ProjectJson.write(o.project())).append(program);
        List<Object> choices =
                List.of(
                        o.out().toAbsolutePath(),
                        o.range(),
                        o.format(),
                        o.quality(),
                        o.sampling(),
                        o.scale(),
                        o.odd(),
                        o.dither(),
                        o.sound());
        choices.forEach(choice -> all.append(choice).append('\n'));
        for (Source source : o.project().sources()) {
            if (source.kind().isFile()) {
                Path path = Path.of(source.path());
                Stream<Path> files =
                        NumberedSequence.isPattern(path)
                                ? NumberedSequence.files(path).values().stream()
                                : Stream.of(path);
                files.forEach(file -> all.append(stamp(file)).append('\n'));
            }
        }
        try {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            return HexFormat.of()
                    .formatHex(digest.digest(all.toString().getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java runtime has SHA-256", e);
        }
    }

    /** Identity of the program files. */
    private static String program() {
        return Stream.of(Renderer.class, PartialExport.class)
                .map(c -> c.getProtectionDomain().getCodeSource().getLocation())
                .map(code -> stamp(Path.of(URI.create(code.toString()))))
                .collect(Collectors.joining(" "));
    }

    /** Identity of a file: path, length and time of change. */
    private static String stamp(Path file) {
        try {
            return Files.exists(file)
                    ? file.getFileName()
                            + " "
                            + Files.size(file)
                            + " "
                            + Files.getLastModifiedTime(file).toMillis()
                    : file.getFileName() + " is missing";
        } catch (IOException e) {
            throw SafeFile.fault(file, e);
        }
    }

    /**
     * Prepares the folder; state of another export is deleted.
     *
     * @return a note if the export continues
     */
    Optional<String> begin() {
        List<String> before = text(folder.resolve(ORDER)).lines().toList();
        if (before.size() > 1 && isBusy(before.get(1))) {
            throw new UnwritableTargetException(
                    "another Ivrik process is exporting to " + folder.getParent(),
                    "wait until it is done, or choose another name",
                    null);
        }
        boolean goesOn = !before.isEmpty() && before.getFirst().equals(order);
        if (!goesOn) {
            remove();
        }
        try {
            Files.createDirectories(folder);
        } catch (IOException e) {
            throw SafeFile.fault(folder, e);
        }
        SafeFile.write(folder.resolve(ORDER), order + "\n" + ProcessOwner.self().token() + "\n");
        return goesOn ? Optional.of("continued an interrupted export") : Optional.empty();
    }

    private static boolean isBusy(String token) {
        return ProcessOwner.parse(token)
                .filter(o -> !o.equals(ProcessOwner.self()) && !o.isGone())
                .isPresent();
    }

    /** File of a movie segment. */
    Path part(int number) {
        return folder.resolve(String.format("%04d%s", number, PART));
    }

    /** Whether this export wrote an existing still. */
    boolean wrote(Path still) {
        return !stills.isEmpty() && Files.exists(still) && stills.contains(stamp(still));
    }

    /** Records a written still. */
    void writes(Path still) {
        try {
            Files.writeString(
                    folder.resolve(STILLS),
                    stamp(still) + "\n",
                    StandardOpenOption.CREATE,
                    StandardOpenOption.APPEND);
        } catch (IOException e) {
            throw SafeFile.fault(still, e);
        }
    }

    /** Deletes the state. */
    void remove() {
        remove(folder);
    }

    /** Deletes the state of an interrupted export to a target. */
    static void remove(Path folder) {
        if (!Files.isDirectory(folder)) {
            return;
        }
        try (DirectoryStream<Path> files = Files.newDirectoryStream(folder)) {
            for (Path file : files) {
                Files.delete(file);
            }
            Files.delete(folder);
        } catch (IOException e) {
            LOG.warn("{} could not be deleted", folder, e); // harmless: it only uses disk space
        }
    }

    /** Whether the state holds any finished work. */
    static boolean isOfUse(Path folder) {
        if (!Files.isDirectory(folder)) {
            return false;
        }
        try (DirectoryStream<Path> files = Files.newDirectoryStream(folder)) {
            for (Path file : files) {
                String name = file.getFileName().toString();
                if (name.equals(STILLS) || !name.startsWith(".") && name.endsWith(PART)) {
                    return true;
                }
            }
            return false;
        } catch (IOException e) {
            LOG.warn("{}", folder, e);
            return true;
        }
    }

    /** Deletes the state if it holds no finished work. */
    @Override
    public void close() {
        if (!isOfUse(folder)) {
            remove();
        }
    }
}
