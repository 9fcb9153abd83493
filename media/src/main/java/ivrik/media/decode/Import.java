package ivrik.media.decode;

import ivrik.core.look.Look;
import ivrik.core.picture.Workers;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.project.Sequence;
import ivrik.core.project.Source;
import ivrik.media.file.ProjectFile;

import java.nio.file.Path;
import java.util.List;

/** Files becoming sources, and a first source becoming a project. */
public final class Import {
    /** How long a still is shown when it is brought in. */
    public static final int STILL_SECONDS = 4;

    private Import() {}

    /**
     * What a file is, its path relative to {@code folder}.
     *
     * @throws ivrik.core.IvrikException if it is missing or cannot be read
     */
    public static Source source(Path file, Path folder, String id) {
        try (Footage footage = Footage.open(file, Workers.shared())) {
            return footage.source(id, name(file), ProjectFile.relative(folder, file));
        }
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

    /** How many frames of a sequence a source fills. */
    public static long length(Source source, Sequence sequence) {
        double seconds =
                source.kind().isStill()
                        ? STILL_SECONDS
                        : source.frames() / source.rate().toDouble();
        return Math.max(1, Math.round(seconds * sequence.rate().toDouble()));
    }
}
