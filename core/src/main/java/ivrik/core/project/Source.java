package ivrik.core.project;

import ivrik.core.motion.Rational;
import ivrik.core.picture.Size;

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
 */
public record Source(
        String id,
        String name,
        String path,
        Kind kind,
        Size size,
        Rational rate,
        long frames,
        boolean sound) {
    /** What a source is. */
    public enum Kind {
        MOVIE,
        STILL,
        SEQUENCE,
        VECTOR;

        /** Whether it shows the same at any time. */
        public boolean isStill() {
            return this == STILL || this == VECTOR;
        }
    }

    public Source withPath(String p) {
        return new Source(id, name, p, kind, size, rate, frames, sound);
    }

    public Source withId(String i) {
        return new Source(i, name, path, kind, size, rate, frames, sound);
    }
}
