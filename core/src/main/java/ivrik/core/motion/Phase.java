package ivrik.core.motion;

import io.soabase.recordbuilder.core.RecordBuilder;

import java.util.Map;
import java.util.TreeMap;

/**
 * One step of a burst's envelope.
 *
 * @param frames duration; 0 skips the phase
 * @param strength share of the peak; may exceed 1 or be negative
 * @param ofChannels shares of channels that differ from {@code strength}, by channel index
 */
@RecordBuilder
public record Phase(int frames, double strength, Map<Integer, Double> ofChannels)
        implements PhaseBuilder.With {
    /** Largest duration. */
    public static final int MAX_FRAMES = 100_000;

    /** Largest magnitude of a strength. */
    public static final double MAX_STRENGTH = 1000;

    public Phase {
        if (frames < 0 || frames > MAX_FRAMES) {
            throw new IllegalArgumentException("a phase lasts 0.." + MAX_FRAMES + " frames");
        }
        ofChannels = Map.copyOf(ofChannels);
        if (!isAllowed(strength) || !ofChannels.values().stream().allMatch(Phase::isAllowed)) {
            throw new IllegalArgumentException(
                    "the strength of a phase is -" + MAX_STRENGTH + ".." + MAX_STRENGTH);
        }
    }

    private static boolean isAllowed(double strength) {
        return Math.abs(strength) <= MAX_STRENGTH;
    }

    /** The nearest allowed strength. */
    public static double clamp(double strength) {
        return Math.clamp(strength, -MAX_STRENGTH, MAX_STRENGTH);
    }

    /** A phase with one strength for all channels. */
    public Phase(int frames, double strength) {
        this(frames, strength, Map.of());
    }

    /**
     * The share of one channel.
     *
     * @param channel channel index, or -1 for the whole picture
     */
    public double strength(int channel) {
        return ofChannels.getOrDefault(channel, strength);
    }

    /** This phase with another strength; those of channels keep their proportion to it. */
    public Phase scaledTo(double strengthNow) {
        double to = clamp(strengthNow);
        if (strength == 0) {
            return new Phase(frames, to);
        }
        Map<Integer, Double> scaled = new TreeMap<>(ofChannels);
        scaled.replaceAll((channel, own) -> clamp(own * to / strength));
        return new Phase(frames, to, scaled);
    }
}
