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
 * Unsaved work of a window whose process has ended, kept in its journal until it is recovered or discarded.
 *
 * @param file the journal
 * @param project the edited project file; empty if unnamed
 * @param kept time of the last backup
 * @param elsewhere name of another machine that wrote it, where the window may still be open
 */
public record RecoverableWork(
        Path file, Optional<Path> project, Instant kept, Optional<String> elsewhere) {
    /** Recoverable work on a project, the newest first. */
    public static List<RecoverableWork> of(Path project) {
        return in(
                project.toAbsolutePath().getParent(),
                Journal.prefix(project),
                Optional.of(project.toAbsolutePath()));
    }

    /** Recoverable unnamed work, the newest first. */
    public static List<RecoverableWork> unnamed(Path dataFolder) {
        return in(dataFolder, Journal.UNNAMED, Optional.empty());
    }

    private static List<RecoverableWork> in(Path folder, String prefix, Optional<Path> project) {
        List<RecoverableWork> lost = new ArrayList<>();
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
                Optional<ProcessOwner> owner =
                        ProcessOwner.parse(rest.substring(0, Math.max(0, rest.indexOf('.'))));
                // journals without an owner are from early versions
                if (owner.isEmpty() ? rest.equals(PLAIN) : isLost(owner.get())) {
                    lost.add(
                            new RecoverableWork(
                                    file,
                                    project,
                                    Files.getLastModifiedTime(file).toInstant(),
                                    owner.filter(o -> !o.isOfThisMachine())
                                            .map(ProcessOwner::machine)));
                }
            }
        } catch (IOException e) {
            throw SafeFile.fault(folder, e);
        }
        lost.sort(Comparator.comparing(RecoverableWork::kept).reversed());
        return lost;
    }

    private static final String PLAIN = Journal.ENDING.substring(1);

    private static boolean isLost(ProcessOwner owner) {
        return owner.isGone() || !owner.isOfThisMachine();
    }

    /** The work, as far as it can be read, with absolute media paths. */
    public ProjectJson.Reading read() {
        return ProjectFile.open(file);
    }

    /** Transfers the work to the journal of a recovering window, so that a copy always exists. */
    public void becomes(Journal journal) {
        try {
            Files.move(file, journal.file());
        } catch (IOException e) {
            throw SafeFile.fault(journal.file(), e);
        }
    }

    public void discard() {
        try {
            Files.deleteIfExists(file);
        } catch (IOException e) {
            throw SafeFile.fault(file, e);
        }
    }
}
