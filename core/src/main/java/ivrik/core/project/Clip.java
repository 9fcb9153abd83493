package ivrik.core.project;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.motion.Rational;

/**
 * A range of a source on a layer; or a span, which applies the layer's looks to everything below.
 *
 * @param id unique on its layer and stable; assigned by the layer if empty
 * @param source id of the source; {@link #BELOW} for a span
 * @param start first frame in the sequence
 * @param length frames of the sequence, at least 1
 * @param in first frame of the source
 * @param loudness loudness of the clip's sound
 */
@RecordBuilder
public record Clip(String id, String source, long start, long length, long in, Loudness loudness)
        implements ClipBuilder.With {
    /** Source id of a span. */
    public static final String BELOW = "";

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
        return source.equals(BELOW);
    }

    /** The first frame after the clip. */
    public long end() {
        return start + length;
    }

    public boolean covers(long frame) {
        return frame >= start && frame < end();
    }

    /** Frame of the source at a moment of the sequence; the source's last frame is held. */
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
