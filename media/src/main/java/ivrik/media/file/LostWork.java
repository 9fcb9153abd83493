package ivrik.media.file;

import ivrik.core.json.ProjectJson;

import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Work that a window had not saved when its process ended, kept in its journal until it is taken back
 * or thrown away.
 *
 * @param file the journal
 * @param project the file it was an edit of, or empty
 * @param kept when it was last written
 * @param elsewhere the machine it was written on, if that is another, where its window may still live
 */
public record LostWork(
        Path file, Optional<Path> project, Instant kept, Optional<String> elsewhere) {
    /** All that was lost of a project, the newest first. */
    public static List<LostWork> of(Path project) {
        return in(
                project.toAbsolutePath().getParent(),
                Journal.prefix(project),
                Optional.of(project.toAbsolutePath()));
    }

    /** All that was lost without a name, the newest first. */
    public static List<LostWork> unnamed(Path dataFolder) {
        return in(dataFolder, Journal.UNNAMED, Optional.empty());
    }

    private static List<LostWork> in(Path folder, String prefix, Optional<Path> project) {
        List<LostWork> lost = new ArrayList<>();
        DirectoryStream.Filter<Path> journals =
                file -> {
                    String name = file.getFileName().toString();
                    return name.startsWith(prefix) && name.endsWith(Journal.ENDING);
                };
        if (!Files.isDirectory(folder)) {
            return lost;
        }
        try (DirectoryStream<Path> files = Files.newDirectoryStream(folder, journals)) {
            for (Path file : files) {
                String rest = file.getFileName().toString().substring(prefix.length());
                Optional<Owner> owner =
                        Owner.parse(rest.substring(0, Math.max(0, rest.indexOf('.'))));
                // What has no owner is of before journals had them.
                if (owner.isEmpty() ? rest.equals(PLAIN) : isLost(owner.get())) {
                    lost.add(
                            new LostWork(
                                    file,
                                    project,
                                    Files.getLastModifiedTime(file).toInstant(),
                                    owner.filter(o -> !o.isOfThisMachine()).map(Owner::machine)));
                }
            }
        } catch (IOException e) {
            throw SafeFile.fault(folder, e);
        }
        lost.sort(Comparator.comparing(LostWork::kept).reversed());
        return lost;
    }

    private static final String PLAIN = Journal.ENDING.substring(1);

    private static boolean isLost(Owner owner) {
        return owner.isGone() || !owner.isOfThisMachine();
    }

    /** The work, as far as it can be read, with whole media paths. */
    public ProjectJson.Reading read() {
        return ProjectFile.open(file);
    }

    /** Makes it the journal of the window that takes it back, so that it is never nowhere. */
    public void becomes(Journal journal) {
        try {
            Files.move(file, journal.file());
        } catch (IOException e) {
            throw SafeFile.fault(journal.file(), e);
        }
    }

    public void throwAway() {
        try {
            Files.deleteIfExists(file);
        } catch (IOException e) {
            throw SafeFile.fault(file, e);
        }
    }
}
