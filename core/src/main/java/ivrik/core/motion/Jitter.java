package ivrik.core.motion;

/**
 * Seeded random movement added to the values of one lane: each value moves by at most {@code amount}
 * either way, its own way. {@code frequencyHz} new places a second; it is a constant, because a
 * frequency that moved would have to be summed over all earlier frames.
 */
public record Jitter(Value amount, double frequencyHz, Kind kind, long seed) {
    public static final Jitter NONE = new Jitter(Value.ZERO, 12, Kind.SMOOTH, 1);

    /** The highest frequency offered; beyond half the frame rate smooth jitter looks stepped. */
    public static final double MAX_FREQUENCY_HZ = 240;

    public Jitter {
        if (!(frequencyHz >= 0 && frequencyHz <= MAX_FREQUENCY_HZ)) {
            throw new IllegalArgumentException(
                    "a jitter frequency lies in 0.." + MAX_FREQUENCY_HZ + " Hz");
        }
    }

    public boolean isNone() {
        return amount.rest() == 0 && !amount.isMoving();
    }

    public Jitter withAmount(Value a) {
        return new Jitter(a, frequencyHz, kind, seed);
    }

    public Jitter withSeed(long s) {
        return new Jitter(amount, frequencyHz, kind, s);
    }

    /** How the places follow each other. */
    public enum Kind {
        /** Gliding from place to place, at rest in each for an instant. */
        SMOOTH {
            @Override
            double at(double phase, long... key) {
                double t = phase - Math.floor(phase);
                double s = t * t * t * (t * (6 * t - 15) + 10);
                double from = place(Math.floor(phase), key);
                return from + s * (place(Math.floor(phase) + 1, key) - from);
            }
        },
        /** Staying, then jumping. */
        STEPPED {
            @Override
            double at(double phase, long... key) {
                return place(Math.floor(phase), key);
            }
        };

        abstract double at(double phase, long... key);

        private static double place(double index, long... key) {
            return Hash.signed(Hash.of(key), (long) index);
        }
    }

    /**
     * The movement at a frame.
     *
     * @param amountThere the amount at that frame, in the unit of the value it moves
     * @param hz the frequency, dials included
     * @param rate frames a second
     * @param lane the lane's number
     * @param what names the value, so that x and y move independently
     */
    public double at(
            Rational frame, double amountThere, double hz, Rational rate, int lane, String what) {
        if (amountThere == 0) {
            return 0;
        }
        double phase = frame.dividedBy(rate).toDouble() * hz;
        return amountThere * kind.at(phase, seed, lane, what.hashCode());
    }
}
