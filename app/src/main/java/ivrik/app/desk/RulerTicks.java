package ivrik.app.desk;

import java.util.stream.IntStream;
import java.util.stream.LongStream;

/**
 * Ticks of the time ruler, in frames.
 *
 * @param every distance of labelled ticks: a divisor of a second, or whole seconds
 * @param small distance of all ticks, a divisor of {@code every}
 */
record RulerTicks(long every, long small) {
    /** Least distance of labels, in pixels. */
    private static final double LABELS = 56;

    /** Least distance of ticks, in pixels. */
    private static final double TICKS = 5;

    private static final long[] SECONDS = {
        1, 2, 5, 10, 30, 60, 120, 300, 600, 1800, 3600, 7200, 18_000, 36_000
    };

    /**
     * @param frameWidth width of a frame in pixels
     * @param rate frames per second
     */
    static RulerTicks of(double frameWidth, double rate) {
        long second = Math.max(1, Math.round(rate));
        long every =
                LongStream.concat(
                                LongStream.range(1, second).filter(n -> second % n == 0),
                                LongStream.of(SECONDS).map(n -> n * second))
                        .filter(n -> n * frameWidth >= LABELS)
                        .findFirst()
                        .orElse(SECONDS[SECONDS.length - 1] * second);
        long parts =
                IntStream.of(5, 4, 3, 2)
                        .filter(n -> every % n == 0 && every / n * frameWidth >= TICKS)
                        .findFirst()
                        .orElse(1);
        return new RulerTicks(every, every / parts);
    }
}
