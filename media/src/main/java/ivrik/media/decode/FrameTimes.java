package ivrik.media.decode;

import ivrik.core.motion.Rational;

import java.util.Arrays;
import java.util.List;

/**
 * Presents a movie at a constant rate: evenly spaced frames one by one; otherwise, for each frame of the
 * constant rate, the stored frame that is visible at its time.
 */
final class FrameTimes {
    /** Standard frame rates. */
    private static final List<Rational> RATES =
            List.of(
                    Rational.of(8),
                    Rational.of(10),
                    Rational.of(12),
                    new Rational(25, 2),
                    new Rational(15_000, 1001),
                    Rational.of(15),
                    Rational.of(20),
                    new Rational(24_000, 1001),
                    Rational.of(24),
                    Rational.of(25),
                    new Rational(30_000, 1001),
                    Rational.of(30),
                    new Rational(48_000, 1001),
                    Rational.of(48),
                    Rational.of(50),
                    new Rational(60_000, 1001),
                    Rational.of(60),
                    Rational.of(100),
                    new Rational(120_000, 1001),
                    Rational.of(120));

    /** Relative tolerance that distinguishes 24 and 23.976. */
    private static final double SAME_RATE = 3e-4;

    /** Relative tolerance for a variable frame rate, whose mean is inaccurate. */
    private static final double NEAR_RATE = 0.04;

    private static final Rational FASTEST = Rational.of(120);

    /** Largest deviation from even spacing, in frames. */
    private static final double EVEN = 0.3;

    private final double[] seconds;
    private final Rational rate;
    private final boolean varies;
    private final long frames;

    private FrameTimes(double[] seconds, Rational rate, boolean varies, long frames) {
        this.seconds = seconds;
        this.rate = rate;
        this.varies = varies;
        this.frames = frames;
    }

    /**
     * From the time stamps of all frames.
     *
     * @param said declared rate; 0 if there is none
     */
    static FrameTimes of(FrameIndex index, Rational timeBase, Rational said) {
        int n = index.size();
        double unit = timeBase.toDouble();
        double[] seconds = new double[n];
        boolean grows = true;
        for (int i = 0; i < n; i++) {
            seconds[i] = (index.times()[i] - index.times()[0]) * unit;
            grows &= i == 0 || seconds[i] > seconds[i - 1];
        }
        Rational sensible =
                said.num() > 0 && said.toDouble() <= 1000
                        ? recognised(said.toDouble(), said)
                        : Rational.of(24);
        if (n == 1 || !grows) {
            return new FrameTimes(seconds, sensible, false, n);
        }
        double mean = seconds[n - 1] / (n - 1);
        double farthest = 0;
        for (int i = 0; i < n; i++) {
            farthest = Math.max(farthest, Math.abs(seconds[i] - i * mean));
        }
        // time stamps are rounded to the time base, at most twice
        if (farthest <= Math.max(EVEN * mean, 2 * unit)) {
            boolean agrees = Math.abs(sensible.toDouble() * mean - 1) < Math.max(1e-3, unit / mean);
            Rational even = agrees ? sensible : recognised(1 / mean, rational(mean));
            return new FrameTimes(seconds, even, false, n);
        }
        double[] steps = new double[n - 1];
        for (int i = 0; i < n - 1; i++) {
            steps[i] = seconds[i + 1] - seconds[i];
        }
        Arrays.sort(steps);
        double step = steps[(n - 1) / 10];
        double last = index.lastDuration() > 0 ? index.lastDuration() * unit : steps[(n - 1) / 2];
        Rational rate = near(1 / step, rational(step));
        long frames = Math.max(1, Math.round((seconds[n - 1] + last) * rate.toDouble()));
        return new FrameTimes(seconds, rate, true, frames);
    }

    private static Rational rational(double step) {
        return new Rational(1_000_000, Math.max(1, Math.round(step * 1_000_000)));
    }

    /** The standard rate nearest to a measured one; {@code other} if none is near. */
    static Rational recognised(double measured, Rational other) {
        Rational nearest = nearest(measured);
        return Math.abs(nearest.toDouble() / measured - 1) < SAME_RATE ? nearest : other;
    }

    private static Rational near(double measured, Rational other) {
        Rational nearest = nearest(measured);
        if (Math.abs(nearest.toDouble() / measured - 1) < NEAR_RATE) {
            return nearest;
        }
        return other.compareTo(FASTEST) > 0 ? FASTEST : other;
    }

    private static Rational nearest(double measured) {
        Rational nearest = RATES.getFirst();
        for (Rational rate : RATES) {
            if (Math.abs(rate.toDouble() - measured) < Math.abs(nearest.toDouble() - measured)) {
                nearest = rate;
            }
        }
        return nearest;
    }

    Rational rate() {
        return rate;
    }

    /** Whether the frame rate is variable. */
    boolean varies() {
        return varies;
    }

    /** Number of frames at the constant rate. */
    long frames() {
        return frames;
    }

    /** Stored frame that is shown as frame {@code n} of the constant rate. */
    long stored(long n) {
        if (!varies) {
            return n;
        }
        // slightly later, because time stamps are rounded
        double at = (n + 0.01) / rate.toDouble();
        int i = Arrays.binarySearch(seconds, at);
        return Math.max(0, i >= 0 ? i : -i - 2);
    }
}
