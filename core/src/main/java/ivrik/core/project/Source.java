package ivrik.core.project;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.colour.ColourSpace;
import ivrik.core.motion.Rational;
import ivrik.core.picture.Size;
import ivrik.core.separation.Ink;

import java.util.Optional;

/**
 * A clip or graphic that layers use.
 *
 * @param id stable when the file is relinked
 * @param path file path, relative to the project where possible; {@code %04d} stands for the frame number of
 *     a numbered sequence
 * @param size displayed size in pixels, rotated and with square pixels
 * @param rate frames per second; irrelevant for a still
 * @param frames number of frames; 1 for a still
 * @param sound whether the file has a sound track
 * @param title text or colour of a source without a file; empty for a file
 * @param settings how the file is decoded
 */
@RecordBuilder
public record Source(
        String id,
        String name,
        String path,
        Kind kind,
        Size size,
        Rational rate,
        long frames,
        boolean sound,
        Optional<Title> title,
        FootageSettings settings)
        implements SourceBuilder.With {
    public Source(
            String id,
            String name,
            String path,
            Kind kind,
            Size size,
            Rational rate,
            long frames,
            boolean sound) {
        this(
                id,
                name,
                path,
                kind,
                size,
                rate,
                frames,
                sound,
                Optional.empty(),
                FootageSettings.AUTOMATIC);
    }

    /** A title in a box of a size. */
    public static Source of(String id, Title title, Size size) {
        return new Source(
                id,
                id,
                "",
                Kind.TITLE,
                size,
                Rational.of(24),
                1,
                false,
                Optional.of(title),
                FootageSettings.AUTOMATIC);
    }

    /** A solid colour of a size. */
    public static Source solid(String id, Ink colour, Size size) {
        return new Source(
                id,
                id,
                "",
                Kind.SOLID,
                size,
                Rational.of(24),
                1,
                false,
                Optional.of(Title.EMPTY.withColour(colour)),
                FootageSettings.AUTOMATIC);
    }

    /** Kinds of sources. */
    public enum Kind {
        MOVIE,
        STILL,
        SEQUENCE,
        VECTOR,
        /** Text typed in Ivrik. */
        TITLE,
        /** A solid colour. */
        SOLID;

        /** Whether all frames are the same. */
        public boolean isStill() {
            return this != MOVIE && this != SEQUENCE;
        }

        /** Whether the source is a file. */
        public boolean isFile() {
            return this != TITLE && this != SOLID;
        }

        /** Whether the source is drawn at the size it is shown at. */
        public boolean isDrawn() {
            return this == VECTOR || !isFile();
        }
    }

    /**
     * Decoding options of a file.
     *
     * @param soundTrack index of the sound track; empty for the default
     * @param imageLayer name of the layer in a layered image; empty for the default
     * @param countFrames whether frames are found by counting instead of their time stamps
     * @param noConversion whether colours are not converted to the sequence's colour space
     * @param colourSpace overrides the file's colour tags; empty to use them
     */
    @RecordBuilder
    public record FootageSettings(
            Optional<Integer> soundTrack,
            Optional<String> imageLayer,
            boolean countFrames,
            boolean noConversion,
            Optional<ColourSpace> colourSpace)
            implements SourceFootageSettingsBuilder.With {
        /** Default options. */
        public static final FootageSettings AUTOMATIC =
                new FootageSettings(
                        Optional.empty(), Optional.empty(), false, false, Optional.empty());

        public FootageSettings withSoundTrack(int t) {
            return withSoundTrack(Optional.of(t));
        }

        public FootageSettings withImageLayer(String l) {
            return withImageLayer(Optional.of(l));
        }

        /** These options with another colour space; empty to use the file's tags. */
        public FootageSettings inColourSpace(Optional<ColourSpace> s) {
            return withNoConversion(false).withColourSpace(s);
        }
    }
}
