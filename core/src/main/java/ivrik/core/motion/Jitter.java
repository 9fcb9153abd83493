package ivrik.core.motion;

import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * Seeded random movement added to the values of one lane: each value moves by at most {@code amount}
 * either way, its own way. {@code frequencyHz} new places a second; it is a constant, because a
 * frequency that moved would have to be summed over all earlier frames. Each octave is twice as fast and half as
 * far as the one before; together they reach as far as one alone.
 */
@RecordBuilder
public record Jitter(Value amount, double frequencyHz, Kind kind, long seed, int octaves)
        implements JitterBuilder.With {
    public static final Jitter NONE = new Jitter(Value.ZERO, 12, Kind.SMOOTH, 1);

    /** The highest frequency offered; beyond half the frame rate smooth jitter looks stepped. */
    public static final double MAX_FREQUENCY_HZ = 240;

    /** The most octaves. */
    public static final int MOST_OCTAVES = 8;

    /** Of one octave. */
    public Jitter(Value amount, double frequencyHz, Kind kind, long seed) {
        this(amount, frequencyHz, kind, seed, 1);
    }

    public Jitter {
        if (octaves < 1 || octaves > MOST_OCTAVES) {
            throw new IllegalArgumentException("a jitter has 1.." + MOST_OCTAVES + " octaves");
        }
        if (!(frequencyHz >= 0 && frequencyHz <= MAX_FREQUENCY_HZ)) {
            throw new IllegalArgumentException(
                    "a jitter frequency lies in 0.." + MAX_FREQUENCY_HZ + " Hz");
        }
    }

    public boolean isNone() {
        return amount.rest() == 0 && !amount.isMoving();
    }

    /** How the places follow each other. */
    public enum Kind {
        /** Gliding from place to place, at rest in each for an instant. */
        SMOOTH {
            @Override
            double at(double phase, long key) {
                double t = phase - Math.floor(phase);
                double s = t * t * t * (t * (6 * t - 15) + 10);
                double from = place(Math.floor(phase), key);
                return from + s * (place(Math.floor(phase) + 1, key) - from);
            }
        },
        /** Staying, then jumping. */
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
     * The movement at an instant.
     *
     * @param amountThere the amount then, in the unit of the value it moves
     * @param hz the frequency, dials included
     * @param draw what its places are drawn from
     * @param lane the lane's number
     * @param what names the value, so that x and y move independently
     */
    public double at(
            Instant instant, double amountThere, double hz, Draw draw, int lane, String what) {
        if (amountThere == 0) {
            return 0;
        }
        double phase = instant.seconds() * hz;
        double sum = kind.at(phase, draw.at(lane, what.hashCode()));
        double most = 1;
        for (int octave = 1; octave < octaves; octave++) {
            double share = 1.0 / (1 << octave);
            long key = draw.at(lane, what.hashCode(), octave);
            sum += share * kind.at(phase * (1 << octave), key);
            most += share;
        }
        return amountThere * (octaves == 1 ? sum : sum / most);
    }
}
