package ivrik.core.look;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.motion.Instant;
import ivrik.core.motion.Rational;
import ivrik.core.motion.Value;

import java.util.List;
import java.util.stream.LongStream;

/**
 * How long a look sees each frame: what moves meanwhile is blurred.
 *
 * @param angleDegrees 360 is as long as a frame lasts; 0 for no blur
 * @param phaseDegrees when it opens, after the beginning of the frame
 * @param samples how many moments of that time are seen
 */
@RecordBuilder
public record Shutter(Value angleDegrees, double phaseDegrees, int samples)
        implements ShutterBuilder.With {
    public static final Shutter OFF = new Shutter(Value.ZERO, 0, 16);

    public static final double MOST_DEGREES = 720;
    public static final int MOST_SAMPLES = 256;

    private static final double TURN = 360;

    /** Shutter times are whole numbers of this part of a frame, so that they are exact. */
    private static final long PARTS = 1 << 20;

    public Shutter {
        if (samples < 2 || samples > MOST_SAMPLES) {
            throw new IllegalArgumentException("2.." + MOST_SAMPLES + " moments are seen");
        }
        if (!(Math.abs(phaseDegrees) <= MOST_DEGREES)) {
            throw new IllegalArgumentException(
                    "a shutter opens within " + MOST_DEGREES + " degrees of its frame");
        }
    }

    /**
     * The moments seen while it is open: the middles of equal parts of that time.
     *
     * @param angle in degrees, over 0
     */
    public List<Instant> moments(Instant instant, double angle) {
        return LongStream.range(0, samples)
                .mapToObj(
                        i -> {
                            double share = (phaseDegrees + angle * (i + 0.5) / samples) / TURN;
                            Rational later = new Rational(Math.round(share * PARTS), PARTS);
                            return instant.withFrame(instant.frame().plus(later));
                        })
                .toList();
    }
}
