package ivrik.core.look;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.motion.Anchor;
import ivrik.core.motion.Envelope;
import ivrik.core.motion.PeakEnvelope;
import ivrik.core.motion.Repeat;
import ivrik.core.motion.TransitionEnvelope;
import ivrik.core.motion.Value;

import java.util.Collections;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * An animation relative to an anchor. Within its frames a burst adds to the values it drives: its envelope at
 * that frame times each drive's factor.
 *
 * @param id unique in its look and stable
 * @param name title given by hand; empty for a title that says what the burst drives
 * @param anchor the point in time that the burst is relative to
 * @param envelope strength of the effect over time
 * @param repeat whether and how often the burst repeats
 * @param strength factor of all drives
 * @param angleDegrees rotation of driven x/y pairs, clockwise
 * @param directions direction of each channel
 * @param seed seed of random directions
 * @param drives the driven values
 * @param tied whether the burst has the lengths of the other tied bursts of its layer with its anchor
 */
@RecordBuilder
public record Burst(
        String id,
        String name,
        boolean on,
        Anchor anchor,
        Envelope envelope,
        Repeat repeat,
        Value strength,
        Value angleDegrees,
        List<Direction> directions,
        long seed,
        List<Drive> drives,
        boolean tied)
        implements BurstBuilder.With {
    public Burst {
        directions = List.copyOf(directions);
        drives = List.copyOf(drives);
    }

    /** A burst of three equal phases of two frames on each side that drives nothing yet. */
    public static Burst of(String id, Anchor anchor, int channels) {
        return new Burst(
                id,
                "",
                true,
                anchor,
                PeakEnvelope.even(6, 3),
                Repeat.ONCE,
                Value.of(1),
                Value.ZERO,
                Collections.nCopies(channels, Direction.AS_SET),
                ChannelSettings.FIRST_SEED,
                List.of(),
                false);
    }

    /** Frames before the anchor that the burst changes. */
    public double framesBefore() {
        return envelope.before() + peakBefore();
    }

    /** Frames from the anchor on that the burst changes, without the anchor's own frame. */
    public double framesAfter() {
        return envelope.after() + peakBefore();
    }

    /**
     * This burst with other lengths before and after the anchor. The length of the peak stays.
     *
     * @param before {@link #framesBefore}
     * @param after {@link #framesAfter}
     */
    public Burst timed(double before, double after, int phases) {
        double peak = peakBefore();
        return withEnvelope(
                envelope.timed(Math.max(0, before - peak), Math.max(0, after - peak), phases));
    }

    /** Frames of the peak on each side of the anchor. */
    private int peakBefore() {
        return switch (envelope) {
            case PeakEnvelope hill ->
                    anchor instanceof Anchor.AtCut ? hill.peak() : hill.peak() - 1;
            case TransitionEnvelope swipe -> 0;
        };
    }

    /** Sign with which a burst drives a channel. */
    public enum Direction {
        /** As the drive's factor says. */
        AS_SET,
        /** The negated factor. */
        REVERSED,
        /** No change. */
        FIXED,
        /**
         * A new random direction in each phase: for x/y pairs the same distance at a random angle, for other
         * values a random share between the factor and its negative.
         */
        RANDOM
    }

    /**
     * One value that a burst drives.
     *
     * @param factor added to the value at the peak, at strength 1
     */
    public record Drive(Target target, double factor) {}

    /** This burst with each target replaced by others. */
    Burst driving(Function<Target, Stream<Target>> instead) {
        return withDrives(
                drives.stream()
                        .flatMap(d -> instead.apply(d.target()).map(t -> new Drive(t, d.factor())))
                        .toList());
    }
}
