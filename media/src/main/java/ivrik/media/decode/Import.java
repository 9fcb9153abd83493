package ivrik.media.decode;

import ivrik.core.look.Look;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.project.Sequence;
import ivrik.core.project.Source;
import ivrik.core.project.Source.FootageSettings;
import ivrik.core.threads.Workers;

import java.nio.file.Path;
import java.util.List;

/** Imports files as sources, and creates a project from a first source. */
public final class Import {
    private Import() {}

    /**
     * The source of a file, with an absolute path.
     *
     * @throws ivrik.core.IvrikException if the file is missing or unreadable
     */
    public static Source source(Path file, String id) {
        return source(file, id, FootageSettings.AUTOMATIC);
    }

    /** The source of a file with decoding options; counts frames if seeking is unreliable. */
    public static Source source(Path file, String id, FootageSettings reading) {
        boolean missed;
        try (Footage footage = Footage.open(file, reading, Workers.shared())) {
            missed = footage instanceof Footage.Film film && !film.reader().isSoughtRightly();
            if (!missed) {
                return source(footage, file, id).withSettings(reading);
            }
        }
        FootageSettings counted = reading.withCountFrames(true);
        try (Footage footage = Footage.open(file, counted, Workers.shared())) {
            return source(footage, file, id).withSettings(counted);
        }
    }

    private static Source source(Footage footage, Path file, String id) {
        return footage.source(id, name(file), file.toAbsolutePath().normalize().toString());
    }

    /** The file name without its extension. */
    public static String name(Path file) {
        String name = file.getFileName().toString();
        int dot = name.lastIndexOf('.');
        return dot > 0 ? name.substring(0, dot) : name;
    }

    /** A project that shows one source, at its size and rate, with a look. */
    public static Project project(Source source, Look look) {
        Sequence sequence = new Sequence(source.size(), source.rate());
        Clip clip = new Clip(source.id(), 0, source.frames(), 0);
        return Project.empty(source.name())
                .withSequence(sequence)
                .withSources(List.of(source))
                .withLayers(List.of(Layer.of("shots", "shots", look, clip)));
    }
}
