package ivrik.core.project;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.colour.ColourSpace;
import ivrik.core.motion.Rational;
import ivrik.core.picture.Size;
import ivrik.core.separation.Ink;

import java.util.Optional;

/**
 * A piece of footage or a graphic that clips are made of.
 *
 * @param id stays when the file is replaced: what is built on it survives
 * @param path of the file, relative to the project where that is possible; {@code %04d} and its kin
 *     stand for the frame number of a numbered sequence
 * @param size as shown, in pixels, rotated and with square pixels
 * @param rate frames a second; of a still the sequence's does as well as any
 * @param frames how many; 1 for what does not move
 * @param sound whether it has a sound track
 * @param title what a title says and how, or the colour of a solid; empty for what comes from a file
 * @param reading how its file is read, where there is a choice
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
        Reading reading)
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
        this(id, name, path, kind, size, rate, frames, sound, Optional.empty(), Reading.USUAL);
    }

    /** Text, drawn in a box of a size. */
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
                Reading.USUAL);
    }

    /** One colour, of a size. */
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
                Reading.USUAL);
    }

    /** What a source is. */
    public enum Kind {
        MOVIE,
        STILL,
        SEQUENCE,
        VECTOR,
        /** Text typed in Ivrik. */
        TITLE,
        /** One colour. */
        SOLID;

        /** Whether it shows the same at any time. */
        public boolean isStill() {
            return this != MOVIE && this != SEQUENCE;
        }

        /** Whether it comes from a file. */
        public boolean isFile() {
            return this != TITLE && this != SOLID;
        }

        /** Whether it is drawn at the size it is shown at. */
        public boolean isDrawn() {
            return this == VECTOR || !isFile();
        }
    }

    /**
     * How a file is read where there is a choice.
     *
     * @param track number of the sound track in the file, empty for its main one
     * @param layer of a picture with several, empty for its main one
     * @param counted whether frames are found by counting, because their times cannot be believed
     * @param delivered whether values stay as they are in the file, though they may be of other primaries or
     *     another transfer function than the sequence
     * @param space what the numbers of its colours mean, whatever its tags say; empty to believe those
     */
    @RecordBuilder
    public record Reading(
            Optional<Integer> track,
            Optional<String> layer,
            boolean counted,
            boolean delivered,
            Optional<ColourSpace> space)
            implements SourceReadingBuilder.With {
        /** As most are. */
        public static final Reading USUAL =
                new Reading(Optional.empty(), Optional.empty(), false, false, Optional.empty());

        public Reading withTrack(int t) {
            return withTrack(Optional.of(t));
        }

        public Reading withLayer(String l) {
            return withLayer(Optional.of(l));
        }

        /** Of the colours of a space; of what the tags say if that is empty. */
        public Reading ofSpace(Optional<ColourSpace> s) {
            return withDelivered(false).withSpace(s);
        }
    }
}
