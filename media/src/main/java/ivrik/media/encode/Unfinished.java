package ivrik.media.encode;

import ivrik.core.json.ProjectJson;
import ivrik.core.project.Source;
import ivrik.core.render.Renderer;
import ivrik.media.UnwritableTargetException;
import ivrik.media.decode.NumberedSequence;
import ivrik.media.file.Owner;
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
 * What an export has done so far, in a hidden folder beside its target: finished parts of a movie, or a list
 * of the stills that it has written. It is of use to the very same order only: the same project, the same
 * footage as it is on the disk, the same form and choices. Gone when the export is whole.
 */
final class Unfinished implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(Unfinished.class);
    private static final String ENDING = ".unfinished";
    private static final String ORDER = "order";
    private static final String STILLS = "stills";
    private static final String PART = ".part.movie";

    private final Path folder;
    private final String order;
    private final Set<String> stills;

    private Unfinished(Path folder, String order, Set<String> stills) {
        this.folder = folder;
        this.order = order;
        this.stills = stills;
    }

    /** What there is of this order by this Ivrik, if anything. */
    static Unfinished of(Export.Order order) {
        return of(order, program());
    }

    /** The same of one share of an order, apart from what others do of it meanwhile. */
    static Unfinished of(Export.Order order, Share share) {
        Path name = order.out().getFileName();
        String own = name + "." + share.number() + "-of-" + share.of();
        return of(order, program(), folder(order.out().resolveSibling(own)));
    }

    /**
     * @param program tells one Ivrik from another, whose pixels may not be the same
     */
    static Unfinished of(Export.Order order, String program) {
        return of(order, program, folder(order.out()));
    }

    private static Unfinished of(Export.Order order, String program, Path folder) {
        String mark = mark(order, program);
        return new Unfinished(
                folder,
                mark,
                mark.equals(text(folder.resolve(ORDER)).lines().findFirst().orElse(""))
                        ? new HashSet<>(List.of(text(folder.resolve(STILLS)).split("\n")))
                        : Set.of());
    }

    /** Where what is done of an export to this target is kept. */
    static Path folder(Path out) {
        Path absolute = out.toAbsolutePath();
        return absolute.resolveSibling("." + absolute.getFileName() + ENDING);
    }

    private static String text(Path file) {
        try {
            return Files.isRegularFile(file) ? Files.readString(file) : "";
        } catch (IOException e) {
            LOG.warn("{} cannot be read: what it is of is made anew", file, e);
            return "";
        }
    }

    /** All that decides about the bytes that come out. */
    private static String mark(Export.Order o, String program) {
        StringBuilder all = new StringBuilder(ProjectJson.write(o.project())).append(program);
        List<Object> choices =
                List.of(
                        o.out().toAbsolutePath(),
                        o.range(),
                        o.form(),
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
            throw new IllegalStateException("every Java has it", e);
        }
    }

    /** What makes the pixels and writes them, as it lies on the disk. */
    private static String program() {
        return Stream.of(Renderer.class, Unfinished.class)
                .map(c -> c.getProtectionDomain().getCodeSource().getLocation())
                .map(code -> stamp(Path.of(URI.create(code.toString()))))
                .collect(Collectors.joining(" "));
    }

    /** A file as it is now: its name, length and when it was written. */
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
     * Makes the folder ready for this order: what is there of another is thrown away.
     *
     * @return a word if it goes on with what is there
     */
    Optional<String> begin() {
        List<String> before = text(folder.resolve(ORDER)).lines().toList();
        if (before.size() > 1 && isBusy(before.get(1))) {
            throw new UnwritableTargetException(
                    "another Ivrik is exporting to the same place, " + folder.getParent(),
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
        SafeFile.write(folder.resolve(ORDER), order + "\n" + Owner.self().token() + "\n");
        return goesOn
                ? Optional.of("it went on from where it had been broken off")
                : Optional.empty();
    }

    private static boolean isBusy(String token) {
        return Owner.parse(token).filter(o -> !o.equals(Owner.self()) && !o.isGone()).isPresent();
    }

    /** Where a part of the movie is, or is to be written. */
    Path part(int number) {
        return folder.resolve(String.format("%04d%s", number, PART));
    }

    /** Whether this export has written a still that is there. */
    boolean wrote(Path still) {
        return !stills.isEmpty() && Files.exists(still) && stills.contains(stamp(still));
    }

    /** Notes that a still is written. */
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

    /** It is whole, or not wanted any more. */
    void remove() {
        remove(folder);
    }

    /** Throws away what is kept of an export to this target that was broken off. */
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
            LOG.warn("{} is left", folder, e); // it only takes room
        }
    }

    /** Whether anything is kept that would be of use. */
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

    /** What is of no use does not stay. */
    @Override
    public void close() {
        if (!isOfUse(folder)) {
            remove();
        }
    }
}
