package ivrik.core.project;

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
 */
public record Source(
        String id,
        String name,
        String path,
        Kind kind,
        Size size,
        Rational rate,
        long frames,
        boolean sound,
        Optional<Title> title) {
    public Source(
            String id,
            String name,
            String path,
            Kind kind,
            Size size,
            Rational rate,
            long frames,
            boolean sound) {
        this(id, name, path, kind, size, rate, frames, sound, Optional.empty());
    }

    /** Text, drawn in a box of a size. */
    public static Source of(String id, Title title, Size size) {
        return new Source(
                id, id, "", Kind.TITLE, size, Rational.of(24), 1, false, Optional.of(title));
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
                Optional.of(Title.EMPTY.withColour(colour)));
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

    public Source withPath(String p) {
        return new Source(id, name, p, kind, size, rate, frames, sound, title);
    }

    public Source withTitle(Title t) {
        return new Source(id, name, path, kind, size, rate, frames, sound, Optional.of(t));
    }

    public Source withSize(Size s) {
        return new Source(id, name, path, kind, s, rate, frames, sound, title);
    }

    public Source withId(String i) {
        return new Source(i, name, path, kind, size, rate, frames, sound, title);
    }
}
