package ivrik.core.motion;

import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * Seeded random animation added to the values of one channel: each value changes independently by at most
 * {@code amount} in either direction, with {@code frequencyHz} new positions per second. The frequency is
 * constant, because an animated frequency would have to be integrated over all earlier frames. Each octave
 * has twice the frequency and half the amplitude of the previous one; the sum is scaled to the range of a
 * single octave.
 */
@RecordBuilder
public record Jitter(Value amount, double frequencyHz, Kind kind, long seed, int octaves)
        implements JitterBuilder.With {
    public static final Jitter NONE = new Jitter(Value.ZERO, 12, Kind.SMOOTH, 1);

    /** Largest frequency. Beyond half the frame rate smooth jitter looks stepped. */
    public static final double MAX_FREQUENCY_HZ = 240;

    /** Largest number of octaves. */
    public static final int MAX_OCTAVES = 8;

    /** Jitter of one octave. */
    public Jitter(Value amount, double frequencyHz, Kind kind, long seed) {
        this(amount, frequencyHz, kind, seed, 1);
    }

    public Jitter {
        if (octaves < 1 || octaves > MAX_OCTAVES) {
            throw new IllegalArgumentException("a jitter has 1.." + MAX_OCTAVES + " octaves");
        }
        if (!(frequencyHz >= 0 && frequencyHz <= MAX_FREQUENCY_HZ)) {
            throw new IllegalArgumentException(
                    "jitter rate must be between 0 and " + MAX_FREQUENCY_HZ + " Hz");
        }
    }

    public boolean isNone() {
        return amount.rest() == 0 && !amount.isMoving();
    }

    /** Transition between positions. */
    public enum Kind {
        /** Smooth, with zero speed at each position. */
        SMOOTH {
            @Override
            double at(double phase, long key) {
                double t = phase - Math.floor(phase);
                double s = t * t * t * (t * (6 * t - 15) + 10);
                double from = place(Math.floor(phase), key);
                return from + s * (place(Math.floor(phase) + 1, key) - from);
            }
        },
        /** Constant, then a jump. */
        STEPPED {
            @Override
            double at(double phase, long key) {
                return place(Math.floor(phase), key);
            }
        };

        abstract double at(double phase, long key);

        private static double place(double index, long key) {
            return Hash.signed(key, (long) index);
        }
    }

    /**
     * The displacement at an instant.
     *
     * @param amountThere the amount at the instant, in the unit of the value
     * @param hz the frequency with the contributions of dials
     * @param draw key of the random positions
     * @param channel index of the channel
     * @param what name of the value, so that x and y are independent
     */
    public double at(
            Instant instant,
            double amountThere,
            double hz,
            RandomKey draw,
            int channel,
            String what) {
        if (amountThere == 0) {
            return 0;
        }
        double phase = instant.seconds() * hz;
        double sum = kind.at(phase, draw.at(channel, what.hashCode()));
        double most = 1;
        for (int octave = 1; octave < octaves; octave++) {
            double share = 1.0 / (1 << octave);
            long key = draw.at(channel, what.hashCode(), octave);
            sum += share * kind.at(phase * (1 << octave), key);
            most += share;
        }
        return amountThere * (octaves == 1 ? sum : sum / most);
    }
}
