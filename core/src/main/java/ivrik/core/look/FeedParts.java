package ivrik.core.look;

import ivrik.core.motion.Phase;
import ivrik.core.motion.Value;
import ivrik.core.treatment.Parameter;

import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;

/** The numbers of a lane's time that can be aimed at. */
public final class FeedParts {
    /** Frames that it is behind. */
    public static final String DELAY = "delay";

    /** Frames after the layer's cuts that it cuts. */
    public static final String CUT = "cut";

    /** Frames that the far end of the picture is behind the near one. */
    public static final String SLIT = "slit";

    /** Frames after the near end that the far end cuts. */
    public static final String WIPE = "wipe";

    /** Which way the far end lies. */
    public static final String ANGLE = "angle";

    /** How much is still there a frame later, in per cent. */
    public static final String LINGER = "linger";

    /** The most that can be still there. */
    public static final double MOST_LINGER_PERCENT = 95;

    /** One number: its range, and how it is read from a feed and changed. */
    public record Part(
            Parameter range, Function<Feed, Value> value, BiFunction<Feed, Value, Feed> with) {
        public String name() {
            return range.name();
        }
    }

    /** Those that are frames. */
    public static final List<Part> TIMES =
            List.of(
                    frames(
                            DELAY,
                            "frames behind",
                            Feed.MOST_DELAY_FRAMES,
                            Feed::delayFrames,
                            Feed::withDelayFrames),
                    frames(
                            CUT,
                            "cuts later",
                            Phase.MOST_FRAMES,
                            Feed::cutFrames,
                            Feed::withCutFrames),
                    frames(
                            SLIT,
                            "frames behind at the far end",
                            Slit.MOST_FRAMES,
                            f -> f.slit().delayFrames(),
                            (f, v) -> f.withSlit(f.slit().withDelayFrames(v))),
                    frames(
                            WIPE,
                            "cuts later at the far end",
                            Phase.MOST_FRAMES,
                            f -> f.slit().wipeFrames(),
                            (f, v) -> f.withSlit(f.slit().withWipeFrames(v))));

    public static final List<Part> ALL =
            Lists.plus(
                    Lists.plus(
                            TIMES,
                            new Part(
                                    Parameter.percent(
                                            LINGER,
                                            "still there a frame later",
                                            0,
                                            MOST_LINGER_PERCENT,
                                            0),
                                    Feed::lingerPercent,
                                    Feed::withLingerPercent)),
                    new Part(
                            Parameter.degrees(ANGLE, "towards the far end"),
                            f -> f.slit().angleDegrees(),
                            (f, v) -> f.withSlit(f.slit().withAngleDegrees(v))));

    private FeedParts() {}

    private static Part frames(
            String name,
            String title,
            int most,
            Function<Feed, Value> value,
            BiFunction<Feed, Value, Feed> with) {
        return new Part(Parameter.of(name, title, "frames", -most, most, 0, 1), value, with);
    }

    /** The part of this name; empty if there is none. */
    public static Optional<Part> named(String name) {
        return ALL.stream().filter(p -> p.name().equals(name)).findFirst();
    }

    /** A feed with each of its numbers as it is at one moment. */
    public static Feed settled(Feed feed, BiFunction<Part, Value, Double> at) {
        Feed settled = feed;
        for (Part part : ALL) {
            double now = part.range().clamp(at.apply(part, part.value().apply(feed)));
            settled = part.with().apply(settled, Value.of(now));
        }
        return settled;
    }
}
