package ivrik.core.look;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.motion.Anchor;
import ivrik.core.motion.Course;
import ivrik.core.motion.Hill;
import ivrik.core.motion.Repeat;
import ivrik.core.motion.Value;

import java.util.Collections;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * A movement about an anchor: it adds to the values it drives, as much as its course says there, and nothing
 * outside its frames.
 *
 * @param id names it in its look for as long as it is there
 * @param anchor what it stands on
 * @param course how it grows and passes
 * @param repeat whether it comes again
 * @param strength times what it drives
 * @param angleDegrees clockwise, by which it turns what moves across and down
 * @param ways for each lane which way it goes
 * @param seed of the ways that are random
 * @param drives what it drives
 */
@RecordBuilder
public record Burst(
        String id,
        String name,
        boolean on,
        Anchor anchor,
        Course course,
        Repeat repeat,
        Value strength,
        Value angleDegrees,
        List<Way> ways,
        long seed,
        List<Drive> drives)
        implements BurstBuilder.With {
    public Burst {
        ways = List.copyOf(ways);
        drives = List.copyOf(drives);
    }

    /** Three even phases of two frames, that drive nothing yet. */
    public static Burst of(String id, Anchor anchor, int lanes) {
        return new Burst(
                id,
                id,
                true,
                anchor,
                Hill.even(6, 3),
                Repeat.ONCE,
                Value.of(1),
                Value.ZERO,
                Collections.nCopies(lanes, Way.AHEAD),
                Amounts.FIRST_SEED,
                List.of());
    }

    /** Which way a lane goes when its burst drives it. */
    public enum Way {
        /** As its drives say. */
        AHEAD,
        /** Against what they say. */
        OPPOSED,
        /** Not at all. */
        STILL,
        /**
         * Anew in each phase: what moves across and down as far as they say in any direction, any other value
         * somewhere between what they say and its opposite.
         */
        RANDOM
    }

    /**
     * One value that a burst drives.
     *
     * @param factor added to the value at the peak, for a strength of 1
     */
    public record Drive(Target target, double factor) {}

    /** That drives other targets in place of each. */
    Burst driving(Function<Target, Stream<Target>> instead) {
        return withDrives(
                drives.stream()
                        .flatMap(d -> instead.apply(d.target()).map(t -> new Drive(t, d.factor())))
                        .toList());
    }
}
