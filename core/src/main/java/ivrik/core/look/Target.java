package ivrik.core.look;

import ivrik.core.UnknownNameException;
import ivrik.core.separation.ChannelKind;
import ivrik.core.separation.Separation;

import java.util.Set;

/**
 * Address of one number of a look, for dials, graphs and handles. A step is addressed by its id, so that a
 * target stays valid while steps are added, removed and moved.
 */
public sealed interface Target {
    /** First words of addresses that do not start with a step id. */
    Set<String> RESERVED =
            Set.of("mask", "blend", "channel", "placement", "burst", "shutter", "dial", "option");

    /** A parameter of a step in one channel, or {@link #JITTER} or {@link #JITTER_RATE}. */
    record OfChannel(String step, int channel, String parameter) implements Target {
        /** Amount of the jitter. */
        public static final String JITTER = "jitter";

        /** Prefix of the amount of a single parameter's own jitter: {@code jitter.x}. */
        public static final String OWN_JITTER = JITTER + ".";

        /**
         * Whether a name stands for the amount of a jitter: the channel's, or a parameter's own.
         */
        public static boolean isJitter(String parameter) {
            return parameter.equals(JITTER) || parameter.startsWith(OWN_JITTER);
        }

        /** Frequency of the jitter in Hz; only the rest value of a dial drives it. */
        public static final String JITTER_RATE = "jitter-rate";
    }

    /** A parameter of a step on the whole picture, or the jitter of the step. */
    record OfStep(String step, String parameter) implements Target {}

    /** A number of the mask, by its name in {@link Mask#PARTS}. */
    record OfMask(String part) implements Target {}

    /** The opacity of the look. */
    record OfOpacity() implements Target {}

    /** The strength of a channel. */
    record OfStrength(int channel) implements Target {}

    /** A number of a channel's timing, by its name in {@link ChannelSourceParameters}. */
    record OfChannelSource(int channel, String part) implements Target {}

    /** The shutter angle in degrees. */
    record OfShutter() implements Target {}

    /** The value of a dial; only its own keyframes animate it. */
    record OfDial(String dial) implements Target {}

    /** A number of a burst, by its name in {@link BurstParameters}; only dials drive it. */
    record OfBurst(String burst, String part) implements Target {}

    /** A number of the layer's placement: {@code x}, {@code y}, {@code scale}, {@code angle}. */
    record OfPlacement(String part) implements Target {}

    /** The choice of an option of a step, by its index. */
    record OfOption(String step, String option) implements Target {}

    /** Id of the addressed step; empty if there is none. */
    default String stepId() {
        return switch (this) {
            case OfChannel t -> t.step;
            case OfStep t -> t.step;
            case OfOption t -> t.step;
            default -> "";
        };
    }

    /** Index of the addressed channel; -1 if there is none. */
    default int channel() {
        return -1;
    }

    /** The same number in another channel; the same target if it has no channel. */
    default Target inChannel(int channel) {
        return switch (this) {
            case OfChannel t -> new OfChannel(t.step, channel, t.parameter);
            case OfStrength t -> new OfStrength(channel);
            case OfChannelSource t -> new OfChannelSource(channel, t.part);
            default -> this;
        };
    }

    /** The address in files: {@code shift-1.red.x}, {@code exposure-1.stops}, {@code mask.low}. */
    default String address(Separation model) {
        return switch (this) {
            case OfChannel t ->
                    t.step + "." + model.channels().get(t.channel).id() + "." + t.parameter;
            case OfStep t -> t.step + "." + t.parameter;
            case OfMask t -> "mask." + t.part;
            case OfOpacity t -> "blend.opacity";
            case OfStrength t -> "channel." + model.channels().get(t.channel).id() + ".strength";
            case OfChannelSource t ->
                    "channel." + model.channels().get(t.channel).id() + "." + t.part;
            case OfDial t -> "dial." + t.dial;
            case OfShutter t -> "shutter.angle";
            case OfBurst t -> "burst." + t.burst + "." + t.part;
            case OfPlacement t -> "placement." + t.part;
            case OfOption t -> "option." + t.step + "." + t.option;
        };
    }

    /**
     * Parses an address.
     *
     * @param model colour model of the look
     * @throws UnknownNameException if the address names a channel that the model does not have
     * @throws IllegalArgumentException if the text is not an address
     */
    static Target parse(String address, Separation model) {
        String[] parts = address.split("\\.", 3);
        boolean ownJitter = parts.length == 3 && parts[1].equals(OfChannel.JITTER);
        if (parts.length < 2 || parts[0].isEmpty()) {
            throw new IllegalArgumentException(
                    "'" + address + "' is not an address such as shift-1.red.x");
        }
        return switch (parts[0]) {
            case "mask" -> new OfMask(parts[1]);
            case "blend" -> new OfOpacity();
            case "shutter" -> new OfShutter();
            case "placement" -> new OfPlacement(parts[1]);
            case "channel" ->
                    parts.length == 3 && !parts[2].equals("strength")
                            ? new OfChannelSource(channel(parts[1], model), parts[2])
                            : new OfStrength(channel(parts[1], model));
            case "option" -> new OfOption(parts[1], parts.length == 3 ? parts[2] : "");
            case "dial" -> new OfDial(address.substring("dial.".length()));
            case "burst" -> new OfBurst(parts[1], parts.length == 3 ? parts[2] : "");
            default ->
                    parts.length == 2 || ownJitter
                            ? new OfStep(parts[0], address.substring(parts[0].length() + 1))
                            : new OfChannel(parts[0], channel(parts[1], model), parts[2]);
        };
    }

    private static int channel(String id, Separation model) {
        return model.channels()
                .indexOf(
                        UnknownNameException.find(
                                "channel", id, model.channels(), ChannelKind::id));
    }
}
