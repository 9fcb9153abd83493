package ivrik.core.look;

import ivrik.core.motion.Phase;
import ivrik.core.motion.Value;
import ivrik.core.treatment.Parameter;

import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;

/** The numbers of a channel's timing that dials can drive. */
public final class ChannelSourceParameters {
    /** Delay in frames. */
    public static final String DELAY = "delay";

    /** Frames between the layer's cut and the channel's cut. */
    public static final String CUT = "cut-offset";

    /** Delay of the far end of the picture, in frames. */
    public static final String SLIT = "slit-delay";

    /** Frames after the near end at which the far end cuts. */
    public static final String WIPE = "wipe";

    /** Direction towards the far end. */
    public static final String ANGLE = "angle";

    /** Per cent of a value that remains one frame later. */
    public static final String TRAIL = "trail";

    /** Largest trail in per cent. */
    public static final double MAX_TRAIL_PERCENT = 95;

    /** One number of a channel source: its range, its getter and its copy-with function. */
    public record Part(
            Parameter range,
            Function<ChannelSource, Value> value,
            BiFunction<ChannelSource, Value, ChannelSource> with) {
        public String name() {
            return range.name();
        }
    }

    /** The numbers that are measured in frames. */
    public static final List<Part> TIMES =
            List.of(
                    frames(
                            DELAY,
                            "delay",
                            ChannelSource.MAX_DELAY_FRAMES,
                            ChannelSource::delayFrames,
                            ChannelSource::withDelayFrames),
                    frames(
                            CUT,
                            "cut offset",
                            Phase.MAX_FRAMES,
                            ChannelSource::cutFrames,
                            ChannelSource::withCutFrames),
                    frames(
                            SLIT,
                            "delay at far edge",
                            SlitScan.MAX_FRAMES,
                            f -> f.slitScan().delayFrames(),
                            (f, v) -> f.withSlitScan(f.slitScan().withDelayFrames(v))),
                    frames(
                            WIPE,
                            "cut offset at far edge",
                            Phase.MAX_FRAMES,
                            f -> f.slitScan().wipeFrames(),
                            (f, v) -> f.withSlitScan(f.slitScan().withWipeFrames(v))));

    public static final List<Part> ALL =
            ListEdits.plus(
                    ListEdits.plus(
                            TIMES,
                            new Part(
                                    Parameter.percent(
                                            TRAIL, "trail per frame", 0, MAX_TRAIL_PERCENT, 0),
                                    ChannelSource::trailPercent,
                                    ChannelSource::withTrailPercent)),
                    new Part(
                            Parameter.degrees(ANGLE, "direction of far edge"),
                            f -> f.slitScan().angleDegrees(),
                            (f, v) -> f.withSlitScan(f.slitScan().withAngleDegrees(v))));

    private ChannelSourceParameters() {}

    private static Part frames(
            String name,
            String title,
            int most,
            Function<ChannelSource, Value> value,
            BiFunction<ChannelSource, Value, ChannelSource> with) {
        return new Part(Parameter.of(name, title, "frames", -most, most, 0, 1), value, with);
    }

    /** The part of a name; empty if there is none. */
    public static Optional<Part> named(String name) {
        return ALL.stream().filter(p -> p.name().equals(name)).findFirst();
    }

    /** A channel source with each number constant at its value at one moment. */
    public static ChannelSource settled(
            ChannelSource channelSource, BiFunction<Part, Value, Double> at) {
        ChannelSource settled = channelSource;
        for (Part part : ALL) {
            double now = part.range().clamp(at.apply(part, part.value().apply(channelSource)));
            settled = part.with().apply(settled, Value.of(now));
        }
        return settled;
    }
}
