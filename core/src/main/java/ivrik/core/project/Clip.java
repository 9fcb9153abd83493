package ivrik.core.project;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.motion.Rational;

/**
 * A stretch of a source on a layer, or a span: a stretch of what lies beneath, whose looks apply to all of it.
 *
 * @param id names it on its layer for as long as it is there; its layer gives it one where it is empty
 * @param source the id of its source; {@link #BENEATH} for a span
 * @param start first frame in the sequence
 * @param length frames of the sequence, at least 1
 * @param in frame of the source that is shown first
 * @param loudness of its sound, if it has any
 */
@RecordBuilder
public record Clip(String id, String source, long start, long length, long in, Loudness loudness)
        implements ClipBuilder.With {
    /** Stands for all that lies beneath. */
    public static final String BENEATH = "";

    public Clip(String source, long start, long length, long in) {
        this("", source, start, length, in);
    }

    public Clip(String id, String source, long start, long length, long in) {
        this(id, source, start, length, in, Loudness.AS_IT_IS);
    }

    public Clip {
        if (length < 1 || in < 0) {
            throw new IllegalArgumentException(
                    "a clip has at least one frame and begins inside its source");
        }
    }

    public boolean isSpan() {
        return source.equals(BENEATH);
    }

    /** The first frame after it. */
    public long end() {
        return start + length;
    }

    public boolean covers(long frame) {
        return frame >= start && frame < end();
    }

    /** The frame of the source shown at a moment of the sequence; the last one holds. */
    public long sourceFrame(Rational frame, Source source, Rational sequenceRate) {
        if (source.kind().isStill()) {
            return 0;
        }
        long passed =
                frame.plus(Rational.of(-start))
                        .times(source.rate())
                        .dividedBy(sequenceRate)
                        .floor();
        return Math.clamp(in + passed, 0, Math.max(0, source.frames() - 1));
    }

    public long sourceFrame(long frame, Source source, Rational sequenceRate) {
        return sourceFrame(Rational.of(frame), source, sequenceRate);
    }
}
