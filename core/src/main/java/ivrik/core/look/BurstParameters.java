package ivrik.core.look;

import ivrik.core.motion.Phase;
import ivrik.core.motion.Repeat;
import ivrik.core.motion.Value;
import ivrik.core.treatment.Parameter;

import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;

/** The numbers of a burst that dials can drive. */
public final class BurstParameters {
    /** Offset from the anchor in frames. */
    public static final String OFFSET = "offset";

    /** Frames before the anchor, with the peak. */
    public static final String BEFORE = "before";

    /** Frames after the anchor, with the peak. */
    public static final String AFTER = "after";

    /** Number of phases before the peak. */
    public static final String PHASES = "phases";

    /** Interval of repetitions, in frames or beats per minute. */
    public static final String REPEAT = "repeat";

    /** Strength. */
    public static final String STRENGTH = "strength";

    /** Rotation of x/y pairs. */
    public static final String ANGLE = "angle";

    /** Largest strength. */
    public static final double MAX_STRENGTH = 1e6;

    /** One number of a burst: its range, its getter and its copy-with function. */
    public record Part(
            String name,
            Parameter range,
            Function<Burst, Value> value,
            BiFunction<Burst, Value, Burst> with) {}

    public static final List<Part> ALL =
            List.of(
                    frames(
                            OFFSET,
                            "offset from anchor",
                            -Phase.MAX_FRAMES,
                            b -> b.repeat().offsetFrames(),
                            (b, n) ->
                                    b.withRepeat(b.repeat().withOffsetFrames((int) Math.rint(n)))),
                    frames(
                            BEFORE,
                            "frames before",
                            0,
                            Burst::framesBefore,
                            (b, n) -> b.timed(n, b.framesAfter(), b.envelope().phases())),
                    frames(
                            AFTER,
                            "frames after",
                            0,
                            Burst::framesAfter,
                            (b, n) -> b.timed(b.framesBefore(), n, b.envelope().phases())),
                    new Part(
                            PHASES,
                            Parameter.of(PHASES, "phases", "", 0, 100, 0, 1),
                            b -> Value.of(b.envelope().phases()),
                            (b, v) ->
                                    b.timed(
                                            b.framesBefore(),
                                            b.framesAfter(),
                                            (int) Math.rint(v.rest()))),
                    new Part(
                            REPEAT,
                            Parameter.of(REPEAT, "repeat every", "", 0, Repeat.MAX, 0, 1),
                            b -> Value.of(b.repeat().every()),
                            (b, v) -> b.withRepeat(b.repeat().withEvery(v.rest()))),
                    new Part(
                            STRENGTH,
                            Parameter.of(
                                    STRENGTH, "strength", "", -MAX_STRENGTH, MAX_STRENGTH, 1, 0.1),
                            Burst::strength,
                            Burst::withStrength),
                    new Part(
                            ANGLE,
                            Parameter.degrees(ANGLE, "angle"),
                            Burst::angleDegrees,
                            Burst::withAngleDegrees));

    private BurstParameters() {}

    private static Part frames(
            String name,
            String title,
            double min,
            Function<Burst, Number> read,
            BiFunction<Burst, Double, Burst> with) {
        return new Part(
                name,
                Parameter.of(name, title, "frames", min, Phase.MAX_FRAMES, 0, 1),
                b -> Value.of(read.apply(b).doubleValue()),
                (b, v) -> with.apply(b, v.rest()));
    }

    /** The part of a name; empty if there is none. */
    public static Optional<Part> named(String name) {
        return ALL.stream().filter(p -> p.name().equals(name)).findFirst();
    }

    /** A burst with values added to its numbers. */
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
