package ivrik.media.decode;

import ivrik.core.motion.Rational;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;
import ivrik.core.picture.Workers;
import ivrik.core.project.Source;
import ivrik.media.MissingFileException;
import ivrik.media.UnreadableMediaException;
import ivrik.media.vector.VectorGraphic;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;

/** An open piece of footage of any kind. */
public sealed interface Footage extends AutoCloseable {
    Source.Kind kind();

    Size size();

    Rational rate();

    long frames();

    Depth depth();

    boolean hasSound();

    /** A word on how it is stored. */
    String form();

    /** Frame {@code n}; what has no size of its own is drawn {@code shown} large. */
    Frame frame(long n, Size shown);

    @Override
    void close();

    /**
     * Opens a movie, still, vector graphic, or numbered sequence ({@code shot-%04d.png}).
     *
     * @throws MissingFileException if it is not there
     * @throws UnreadableMediaException if it cannot be read
     */
    static Footage open(Path path, Workers workers) {
        if (NumberedSequence.isPattern(path) && !Files.exists(path)) {
            return new Numbered(NumberedSequence.of(path), workers);
        }
        if (!Files.isRegularFile(path)) {
            throw new MissingFileException(path.toString());
        }
        try {
            if (Files.size(path) == 0) {
                throw new UnreadableMediaException(
                        path + " is empty: it has no bytes at all",
                        "fetch or render the file again");
            }
        } catch (IOException e) {
            throw new UnreadableMediaException(
                    "cannot read " + path, "check that you may read it", e);
        }
        if (path.toString().toLowerCase(Locale.ROOT).endsWith(".svg")) {
            return new Vector(VectorGraphic.open(path));
        }
        return new Film(new MovieReader(path, workers));
    }

    /** What a project needs to know of it. */
    default Source source(String id, String name, String path) {
        return new Source(id, name, path, kind(), size(), rate(), frames(), hasSound());
    }

    /** A movie or still. */
    record Film(MovieReader reader) implements Footage {
        @Override
        public Source.Kind kind() {
            return reader.frames() == 1 && !reader.hasSound()
                    ? Source.Kind.STILL
                    : Source.Kind.MOVIE;
        }

        @Override
        public Size size() {
            return reader.size();
        }

        @Override
        public Rational rate() {
            return kind().isStill() ? Rational.of(24) : reader.rate();
        }

        @Override
        public long frames() {
            return reader.frames();
        }

        @Override
        public Depth depth() {
            return reader.depth();
        }

        @Override
        public boolean hasSound() {
            return reader.hasSound();
        }

        @Override
        public String form() {
            return reader.compression();
        }

        @Override
        public Frame frame(long n, Size shown) {
            return reader.frame(n);
        }

        @Override
        public void close() {
            reader.close();
        }
    }

    /** A vector graphic. */
    record Vector(VectorGraphic graphic) implements Footage {
        @Override
        public Source.Kind kind() {
            return Source.Kind.VECTOR;
        }

        @Override
        public Size size() {
            return graphic.size();
        }

        @Override
        public Rational rate() {
            return Rational.of(24);
        }

        @Override
        public long frames() {
            return 1;
        }

        @Override
        public Depth depth() {
            return Depth.INT8;
        }

        @Override
        public boolean hasSound() {
            return false;
        }

        @Override
        public String form() {
            return "svg";
        }

        @Override
        public Frame frame(long n, Size shown) {
            return graphic.draw(shown);
        }

        @Override
        public void close() {}
    }

    /** A numbered sequence; its first still stands for all. */
    record Numbered(NumberedSequence sequence, Workers workers, Size size, Depth depth, String form)
            implements Footage {
        Numbered(NumberedSequence sequence, Workers workers) {
            Footage still = Footage.open(sequence.file(0), workers);
            this(sequence, workers, still.size(), still.depth(), still.form());
            still.close();
        }

        @Override
        public Source.Kind kind() {
            return Source.Kind.SEQUENCE;
        }

        @Override
        public Rational rate() {
            return Rational.of(24);
        }

        @Override
        public long frames() {
            return sequence.frames();
        }

        @Override
        public boolean hasSound() {
            return false;
        }

        @Override
        public Frame frame(long n, Size shown) {
            try (Footage still = Footage.open(sequence.file(n), workers)) {
                return still.frame(0, shown);
            }
        }

        @Override
        public void close() {}
    }
}
