package ivrik.cli;

import ivrik.core.json.LookJson;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.project.FrameRange;
import ivrik.media.UnreadableMediaException;
import ivrik.media.file.ProjectFile;

import picocli.CommandLine.ITypeConverter;
import picocli.CommandLine.TypeConversionException;

import java.nio.file.Files;
import java.nio.file.Path;

/** What several commands read from their words. */
final class Inputs {
    private Inputs() {}

    /** A built-in look by name, or a look file. */
    static Look look(String nameOrFile) {
        boolean file = nameOrFile.endsWith(".json") || Files.isRegularFile(Path.of(nameOrFile));
        if (!file) {
            return BuiltInLooks.named(nameOrFile);
        }
        LookJson.Reading reading = LookJson.read(ProjectFile.text(Path.of(nameOrFile)));
        if (!reading.problems().isEmpty()) {
            throw new UnreadableMediaException(
                    nameOrFile + " is damaged: " + String.join("; ", reading.problems()),
                    "save the look again, or use another");
        }
        return reading.look();
    }

    /** {@code A-B} or {@code A}. */
    static final class Range implements ITypeConverter<FrameRange> {
        @Override
        public FrameRange convert(String text) {
            try {
                return FrameRange.parse(text);
            } catch (IllegalArgumentException e) {
                throw new TypeConversionException(
                        "a range of frames looks like 0-95, not '" + text + "'");
            }
        }
    }
}
