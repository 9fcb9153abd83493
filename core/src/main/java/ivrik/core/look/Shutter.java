package ivrik.core.look;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.motion.Instant;
import ivrik.core.motion.Rational;
import ivrik.core.motion.Value;

import java.util.List;
import java.util.stream.LongStream;

/**
 * Exposure time of each frame; what moves meanwhile is blurred.
 *
 * @param angleDegrees 360 is the duration of a frame; 0 is no blur
 * @param phaseDegrees start of the exposure relative to the frame
 * @param samples minimum number of instants per exposure; a fast movement gets more
 */
@RecordBuilder
public record Shutter(Value angleDegrees, double phaseDegrees, int samples)
        implements ShutterBuilder.With {
    public static final Shutter OFF = new Shutter(Value.ZERO, 0, 16);

    public static final double MAX_DEGREES = 720;
    public static final int MAX_SAMPLES = 256;

    /** Largest number of instants of a fast movement. */
    public static final int MOST_SAMPLES = 1024;

    private static final double TURN = 360;

    /** Shutter times are integer multiples of this fraction of a frame, so that they are exact. */
    private static final long PARTS = 1 << 20;

    public Shutter {
        if (samples < 2 || samples > MAX_SAMPLES) {
            throw new IllegalArgumentException(
                    "2.." + MAX_SAMPLES + " motion blur samples are allowed");
        }
        if (!(Math.abs(phaseDegrees) <= MAX_DEGREES)) {
            throw new IllegalArgumentException(
                    "a shutter opens within " + MAX_DEGREES + " degrees of its frame");
        }
    }

    /**
     * The sampled instants: the centres of equal parts of the exposure.
     *
     * @param angle in degrees, greater than 0
     * @param count number of instants
     */
    public List<Instant> moments(Instant instant, double angle, int count) {
        return LongStream.range(0, count)
                .mapToObj(
                        i -> {
                            double share = (phaseDegrees + angle * (i + 0.5) / count) / TURN;
                            Rational later = new Rational(Math.round(share * PARTS), PARTS);
                            return instant.withFrame(instant.frame().plus(later));
                        })
                .toList();
    }
}
