package ivrik.media.decode;

import ivrik.core.colour.ColourSpace;
import ivrik.core.motion.Rational;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;
import ivrik.core.project.Source;
import ivrik.core.project.Source.Reading;
import ivrik.core.threads.Workers;
import ivrik.media.MissingFileException;
import ivrik.media.UnreadableMediaException;
import ivrik.media.vector.VectorGraphic;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/** An open piece of footage of any kind. */
public sealed interface Footage extends AutoCloseable
        permits Footage.Film, Footage.Raster, Footage.Animation, Footage.Vector, NumberedFootage {
    Source.Kind kind();

    Size size();

    /** In frames a second: 24 where it has none of its own. */
    default Rational rate() {
        return Rational.of(24);
    }

    default long frames() {
        return 1;
    }

    Depth depth();

    default boolean hasSound() {
        return false;
    }

    /** A word on how it is stored. */
    String form();

    /** Whether its stored frames come unevenly, and stand at a constant rate here. */
    default boolean isUneven() {
        return false;
    }

    /** Whether its frames are found by counting, because their times cannot be believed. */
    default boolean isCounted() {
        return false;
    }

    /** Layers that can be chosen, the one that is shown first. */
    default List<String> layers() {
        return List.of();
    }

    /** What is not as one would expect, in words for the user; often nothing. */
    default List<String> remarks(Path path) {
        return Remarks.on(this, path);
    }

    /** FFmpeg's name of the container, or that of the form. */
    default String container() {
        return form();
    }

    /** What the numbers of its pictures mean. */
    default Colours colours() {
        return Colours.USUAL;
    }

    /** What they are taken to mean; empty where they are left as they are. */
    default Optional<Colours> colours(Reading reading) {
        return reading.delivered()
                ? Optional.empty()
                : Optional.of(reading.space().map(Colours::of).orElseGet(this::colours));
    }

    /** Frame {@code n} in its own colours; what has no size of its own is drawn {@code shown} large. */
    Frame delivered(long n, Size shown);

    /** The same, which may be left as it is stored. */
    default ReadFrame read(long n, Size shown) {
        return ReadFrame.of(delivered(n, shown));
    }

    /** The memory that it has taken for frames beside those that it was asked for. */
    default long keptBytes() {
        return 0;
    }

    /** The same in the colours of sRGB and BT.709. */
    default Frame frame(long n, Size shown) {
        return frame(n, shown, ColourSpace.SRGB, Workers.shared());
    }

    /** The same in the colours of a sequence. */
    default Frame frame(long n, Size shown, ColourSpace space, Workers workers) {
        Frame delivered = delivered(n, shown);
        return colours().to(space).map(c -> c.apply(delivered, workers)).orElse(delivered);
    }

    /** Lets go of what is open, if anything is. */
    @Override
    default void close() {}

    /**
     * Opens a movie, still, vector graphic, or numbered sequence ({@code shot-%04d.png}).
     *
     * @throws MissingFileException if it is not there
     * @throws UnreadableMediaException if it cannot be read
     */
    static Footage open(Path path, Workers workers) {
        return open(path, Reading.USUAL, workers);
    }

    /** The same, read in a way that was chosen. */
    static Footage open(Path path, Reading reading, Workers workers) {
        if (NumberedSequence.isPattern(path) && !Files.exists(path)) {
            return new NumberedFootage(NumberedSequence.of(path), reading, workers);
        }
        if (!Files.isRegularFile(path)) {
            if (Files.exists(path)) {
                throw new UnreadableMediaException(
                        path + " is no ordinary file", "choose a picture or a movie");
            }
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
        return switch (FileKind.of(path)) {
            case SVG -> new Vector(VectorGraphic.open(path));
            case TIFF -> new Raster(RasterPicture.tiff(path));
            case INKED_JPEG -> new Raster(RasterPicture.jpeg(path));
            case ANIMATED_WEBP -> new Animation(new AnimatedWebp(path, workers));
            case EXR -> new Raster(ExrPicture.read(path, reading.layer(), workers));
            case HEIF ->
                    GridPicture.read(path, workers)
                            .<Footage>map(Raster::new)
                            .orElseGet(() -> new Film(new MovieReader(path, reading, workers)));
            case OTHER -> new Film(new MovieReader(path, reading, workers));
        };
    }

    /** What a project needs to know of it. */
    default Source source(String id, String name, String path) {
        return new Source(id, name, path, kind(), size(), rate(), frames(), hasSound());
    }

    /** A movie or still. */
    record Film(MovieReader reader) implements Footage {
        @Override
        public Source.Kind kind() {
            return reader.isStill() ? Source.Kind.STILL : Source.Kind.MOVIE;
        }

        @Override
        public Size size() {
            return reader.size();
        }

        @Override
        public Rational rate() {
            return kind().isStill() ? Footage.super.rate() : reader.rate();
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
        public Frame delivered(long n, Size shown) {
            return reader.frame(n);
        }

        @Override
        public ReadFrame read(long n, Size shown) {
            return reader.read(n);
        }

        @Override
        public long keptBytes() {
            return reader.passedBytes();
        }

        @Override
        public Colours colours() {
            return reader.colours();
        }

        @Override
        public boolean isUneven() {
            return reader.isUneven();
        }

        @Override
        public boolean isCounted() {
            return reader.isCounted();
        }

        @Override
        public String container() {
            return reader.container();
        }

        @Override
        public void close() {
            reader.close();
        }
    }

    /** A picture that is read whole. */
    record Raster(RasterPicture picture) implements Footage {
        @Override
        public Source.Kind kind() {
            return Source.Kind.STILL;
        }

        @Override
        public Size size() {
            return picture.frame().size();
        }

        @Override
        public Depth depth() {
            return picture.depth();
        }

        @Override
        public String form() {
            return picture.form();
        }

        @Override
        public Colours colours() {
            return picture.colours();
        }

        @Override
        public List<String> layers() {
            return picture.layers();
        }

        @Override
        public Frame delivered(long n, Size shown) {
            return picture.frame();
        }
    }

    /** A moving WebP. */
    record Animation(AnimatedWebp webp) implements Footage {
        @Override
        public Source.Kind kind() {
            return frames() == 1 ? Source.Kind.STILL : Source.Kind.MOVIE;
        }

        @Override
        public Size size() {
            return webp.size();
        }

        @Override
        public Rational rate() {
            return webp.frameTimes().rate();
        }

        @Override
        public boolean isUneven() {
            return webp.frameTimes().varies();
        }

        @Override
        public long frames() {
            return webp.frameTimes().frames();
        }

        @Override
        public Depth depth() {
            return Depth.INT8;
        }

        @Override
        public String form() {
            return "webp";
        }

        @Override
        public Frame delivered(long n, Size shown) {
            return webp.frame(n);
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
        public Depth depth() {
            return Depth.INT8;
        }

        @Override
        public String form() {
            return "svg";
        }

        @Override
        public Frame delivered(long n, Size shown) {
            return graphic.draw(shown);
        }
    }
}
