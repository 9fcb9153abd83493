package ivrik.core.look;

import ivrik.core.motion.Phase;
import ivrik.core.motion.Repeat;
import ivrik.core.motion.Value;
import ivrik.core.treatment.Parameter;

import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;

/** The numbers of a burst that can be aimed at. */
public final class BurstParts {
    /** Frames that it is later than its anchor. */
    public static final String LATER = "later";

    /** Frames of its phases before the peak. */
    public static final String BEFORE = "before";

    /** Frames of its phases after the peak. */
    public static final String AFTER = "after";

    /** How many phases there are before the peak. */
    public static final String PHASES = "phases";

    /** Frames, or beats a minute, after which it comes again. */
    public static final String REPEAT = "repeat";

    /** How strong it is. */
    public static final String STRENGTH = "strength";

    /** The angle by which it turns what it moves. */
    public static final String ANGLE = "angle";

    /** The strongest that a burst can be. */
    public static final double MOST_STRENGTH = 1e6;

    /** One number: its range, and how it is read from a burst and changed. */
    public record Part(
            String name,
            Parameter range,
            Function<Burst, Value> value,
            BiFunction<Burst, Value, Burst> with) {}

    public static final List<Part> ALL =
            List.of(
                    frames(
                            LATER,
                            "later than the anchor",
                            -Phase.MOST_FRAMES,
                            b -> b.repeat().offsetFrames(),
                            (b, n) ->
                                    b.withRepeat(b.repeat().withOffsetFrames((int) Math.rint(n)))),
                    frames(
                            BEFORE,
                            "before the peak",
                            0,
                            b -> b.course().before(),
                            (b, n) -> timed(b, n, b.course().after(), b.course().phases())),
                    frames(
                            AFTER,
                            "after the peak",
                            0,
                            b -> b.course().after(),
                            (b, n) -> timed(b, b.course().before(), n, b.course().phases())),
                    new Part(
                            PHASES,
                            Parameter.of(PHASES, "phases", "", 0, 100, 0, 1),
                            b -> Value.of(b.course().phases()),
                            (b, v) ->
                                    timed(
                                            b,
                                            b.course().before(),
                                            b.course().after(),
                                            (int) Math.rint(v.rest()))),
                    new Part(
                            REPEAT,
                            Parameter.of(REPEAT, "again after", "", 0, Repeat.MOST, 0, 1),
                            b -> Value.of(b.repeat().every()),
                            (b, v) -> b.withRepeat(b.repeat().withEvery(v.rest()))),
                    new Part(
                            STRENGTH,
                            Parameter.of(
                                    STRENGTH,
                                    "strength",
                                    "",
                                    -MOST_STRENGTH,
                                    MOST_STRENGTH,
                                    1,
                                    0.1),
                            Burst::strength,
                            Burst::withStrength),
                    new Part(
                            ANGLE,
                            Parameter.degrees(ANGLE, "angle"),
                            Burst::angleDegrees,
                            Burst::withAngleDegrees));

    private BurstParts() {}

    private static Part frames(
            String name,
            String title,
            double min,
            Function<Burst, Number> read,
            BiFunction<Burst, Double, Burst> with) {
        return new Part(
                name,
                Parameter.of(name, title, "frames", min, Phase.MOST_FRAMES, 0, 1),
                b -> Value.of(read.apply(b).doubleValue()),
                (b, v) -> with.apply(b, v.rest()));
    }

    private static Burst timed(Burst burst, double before, double after, int phases) {
        return burst.withCourse(burst.course().timed(before, after, phases));
    }

    /** The part of this name; empty if there is none. */
    public static Optional<Part> named(String name) {
        return ALL.stream().filter(p -> p.name().equals(name)).findFirst();
    }

    /** A burst with numbers added to its own. */
    static Burst driven(Burst burst, Function<String, Double> added) {
        Burst driven = burst;
        for (Part part : ALL) {
            double more = added.apply(part.name());
            if (more != 0) {
                Parameter range = part.range();
                driven =
                        part.with()
                                .apply(
                                        driven,
                                        part.value().apply(driven).map(v -> range.clamp(v + more)));
            }
        }
        return driven;
    }
}
