package ivrik.media.decode;

import ivrik.core.look.Look;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.project.Sequence;
import ivrik.core.project.Source;
import ivrik.core.project.Source.Reading;
import ivrik.core.threads.Workers;

import java.nio.file.Path;
import java.util.List;

/** Files becoming sources, and a first source becoming a project. */
public final class Import {
    private Import() {}

    /**
     * What a file is, with its whole path.
     *
     * @throws ivrik.core.IvrikException if it is missing or cannot be read
     */
    public static Source source(Path file, String id) {
        return source(file, id, Reading.USUAL);
    }

    /** The same, read in a way that was chosen; by counting its frames if seeking misses them. */
    public static Source source(Path file, String id, Reading reading) {
        boolean missed;
        try (Footage footage = Footage.open(file, reading, Workers.shared())) {
            missed = footage instanceof Footage.Film film && !film.reader().isSoughtRightly();
            if (!missed) {
                return source(footage, file, id).withReading(reading);
            }
        }
        Reading counted = reading.withCounted(true);
        try (Footage footage = Footage.open(file, counted, Workers.shared())) {
            return source(footage, file, id).withReading(counted);
        }
    }

    private static Source source(Footage footage, Path file, String id) {
        return footage.source(id, name(file), file.toAbsolutePath().normalize().toString());
    }

    /** The file's name without its ending. */
    public static String name(Path file) {
        String name = file.getFileName().toString();
        int dot = name.lastIndexOf('.');
        return dot > 0 ? name.substring(0, dot) : name;
    }

    /** A project that shows one source, of its size and rate, under a look. */
    public static Project project(Source source, Look look) {
        Sequence sequence = new Sequence(source.size(), source.rate());
        Clip clip = new Clip(source.id(), 0, source.frames(), 0);
        return Project.empty(source.name())
                .withSequence(sequence)
                .withSources(List.of(source))
                .withLayers(List.of(Layer.of("shots", "shots", look, clip)));
    }
}
