package ivrik.cli;

import ivrik.core.json.ProjectJson;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.media.UnreadableMediaException;
import ivrik.media.file.LookLibrary;
import ivrik.media.file.ProjectFile;
import ivrik.media.grade.GradeFile;

import picocli.CommandLine.ITypeConverter;
import picocli.CommandLine.TypeConversionException;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Reads the inputs of several commands. */
final class InputFiles {
    private InputFiles() {}

    /**
     * A built-in look by name, one of the user's own, a look file, a colour table or a decision list.
     */
    static Look look(String nameOrFile) {
        Optional<Path> file = file(nameOrFile);
        if (file.isEmpty()) {
            return BuiltInLooks.find(nameOrFile)
                    .or(() -> kept(nameOrFile))
                    .or(() -> titled(nameOrFile))
                    .orElseGet(() -> BuiltInLooks.named(nameOrFile));
        }
        if (GradeFile.isGrade(file.get())) {
            return GradeFile.look(file.get());
        }
        LookLibrary.SavedLook reading = LookLibrary.read(file.get());
        if (!reading.problems().isEmpty()) {
            throw new UnreadableMediaException(
                    nameOrFile + " is damaged: " + String.join("; ", reading.problems()),
                    "save the look again or choose another");
        }
        return reading.look();
    }

    /** The user's own looks, which the window also uses; damaged ones are left out. */
    static List<Look> kept() {
        return new LookLibrary(LookLibrary.usual())
                .contents().looks().stream()
                        .filter(k -> k.problems().isEmpty())
                        .map(LookLibrary.SavedLook::look)
                        .toList();
    }

    private static Optional<Look> kept(String name) {
        return kept().stream().filter(l -> l.name().equals(name)).findFirst();
    }

    /** A look by the title that the window shows; one of the user's own before a built-in one. */
    private static Optional<Look> titled(String title) {
        return Stream.concat(kept().stream(), BuiltInLooks.all().stream())
                .filter(l -> l.displayName().equalsIgnoreCase(title.strip()))
                .findFirst();
    }

    /** A project without any error, with absolute media paths. */
    static Project project(Path file) {
        ProjectJson.Reading reading = ProjectFile.open(file);
        if (!reading.problems().isEmpty()) {
            throw new UnreadableMediaException(
                    file + " is damaged: " + String.join("; ", reading.problems()),
                    "open it in the window and save it again");
        }
        return reading.project();
    }

    /** The file of a look; empty for a built-in one. */
    static Optional<Path> file(String nameOrFile) {
        Path path = Path.of(nameOrFile);
        return nameOrFile.endsWith(".json") || GradeFile.isGrade(path) || Files.isRegularFile(path)
                ? Optional.of(path)
                : Optional.empty();
    }

    /** {@code A-B} or {@code A}. */
    static final class Range implements ITypeConverter<FrameRange> {
        @Override
        public FrameRange convert(String text) {
            try {
                return FrameRange.parse(text);
            } catch (IllegalArgumentException e) {
                throw new TypeConversionException(
                        "expected a frame range such as 0-95, not '" + text + "'");
            }
        }
    }
}
