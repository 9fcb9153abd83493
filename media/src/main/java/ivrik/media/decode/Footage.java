package ivrik.media.decode;

import ivrik.core.colour.ColourSpace;
import ivrik.core.motion.Rational;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;
import ivrik.core.project.Source;
import ivrik.core.project.Source.FootageSettings;
import ivrik.core.threads.Workers;
import ivrik.media.MissingFileException;
import ivrik.media.UnreadableMediaException;
import ivrik.media.vector.VectorGraphic;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/** Open footage of any kind. */
public sealed interface Footage extends AutoCloseable
        permits Footage.Film, Footage.Raster, Footage.Animation, Footage.Vector, NumberedFootage {
    Source.Kind kind();

    Size size();

    /** Frame rate; 24 for footage without a rate. */
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

    /** Description of the storage format. */
    String format();

    /** Whether the stored frames have a variable rate; they are presented at a constant rate. */
    default boolean isUneven() {
        return false;
    }

    /** Whether frames are found by counting, because time stamps are unreliable. */
    default boolean isCounted() {
        return false;
    }

    /** Selectable layers, the default first. */
    default List<String> layers() {
        return List.of();
    }

    /** Messages about unexpected properties; usually none. */
    default List<String> notices(Path path) {
        return FootageNotices.on(this, path);
    }

    /** FFmpeg's name of the container, or of the format. */
    default String container() {
        return format();
    }

    /** Colour interpretation by the file's tags. */
    default FootageColours colours() {
        return FootageColours.USUAL;
    }

    /** Colour interpretation to use; empty for no conversion. */
    default Optional<FootageColours> colours(FootageSettings reading) {
        return reading.noConversion()
                ? Optional.empty()
                : Optional.of(
                        reading.colourSpace().map(FootageColours::of).orElseGet(this::colours));
    }

    /**
     * Frame {@code n} in its own colour space; footage without a size is drawn at size {@code shown}.
     */
    Frame delivered(long n, Size shown);

    /** The same frame, possibly as stored data. */
    default ReadFrame read(long n, Size shown) {
        return ReadFrame.of(delivered(n, shown));
    }

    /** Bytes of frames buffered beyond the requested ones. */
    default long keptBytes() {
        return 0;
    }

    /** The frame converted to sRGB. */
    default Frame frame(long n, Size shown) {
        return frame(n, shown, ColourSpace.SRGB, Workers.shared());
    }

    /** The frame converted to the colour space of a sequence. */
    default Frame frame(long n, Size shown, ColourSpace space, Workers workers) {
        Frame delivered = delivered(n, shown);
        return colours().to(space).map(c -> c.apply(delivered, workers)).orElse(delivered);
    }

    /** Closes open files, if any. */
    @Override
    default void close() {}

    /**
     * Opens a movie, still, vector graphic or numbered sequence ({@code shot-%04d.png}).
     *
     * @throws MissingFileException if the file does not exist
     * @throws UnreadableMediaException if the file cannot be read
     */
    static Footage open(Path path, Workers workers) {
        return open(path, FootageSettings.AUTOMATIC, workers);
    }

    /** Opens footage with decoding options. */
    static Footage open(Path path, FootageSettings reading, Workers workers) {
        if (NumberedSequence.isPattern(path) && !Files.exists(path)) {
            return new NumberedFootage(NumberedSequence.of(path), reading, workers);
        }
        if (!Files.isRegularFile(path)) {
            if (Files.exists(path)) {
                throw new UnreadableMediaException(
                        path + " is not a regular file", "choose a picture or a movie");
            }
            throw new MissingFileException(path.toString());
        }
        try {
            if (Files.size(path) == 0) {
                throw new UnreadableMediaException(
                        path + " is empty (0 bytes)", "download or render the file again");
            }
        } catch (IOException e) {
            throw new UnreadableMediaException(
                    "cannot read " + path, "check the read permission", e);
        }
        return switch (FileKind.of(path)) {
            case SVG -> new Vector(VectorGraphic.open(path));
            case TIFF -> new Raster(RasterPicture.tiff(path));
            case INKED_JPEG -> new Raster(RasterPicture.jpeg(path));
            case ANIMATED_WEBP -> new Animation(new AnimatedWebp(path, workers));
            case EXR -> new Raster(ExrPicture.read(path, reading.imageLayer(), workers));
            case HEIF ->
                    GridPicture.read(path, workers)
                            .<Footage>map(Raster::new)
                            .orElseGet(() -> new Film(new MovieReader(path, reading, workers)));
            case OTHER -> new Film(new MovieReader(path, reading, workers));
        };
    }

    /** The source that describes this footage in a project. */
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
        public String format() {
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
        public FootageColours colours() {
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

    /** An image that is read completely. */
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
        public String format() {
            return picture.format();
        }

        @Override
        public FootageColours colours() {
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

    /** An animated WebP. */
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
        public String format() {
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
        public String format() {
            return "svg";
        }

        @Override
        public Frame delivered(long n, Size shown) {
            return graphic.draw(shown);
        }
    }
}
