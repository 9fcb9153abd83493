package ivrik.core.look;

import ivrik.core.UnknownNameException;
import ivrik.core.separation.LaneKind;
import ivrik.core.separation.Separation;

import java.util.Set;

/**
 * One number that a dial drives, a trace shows or a hand holds. A step is meant by its id, never by its
 * place in a list, so that a target stays aimed while steps come, go and change places.
 */
public sealed interface Target {
    /** Words that an address begins with where it does not begin with a step. */
    Set<String> RESERVED =
            Set.of("reach", "onto", "lane", "place", "burst", "shutter", "dial", "word");

    /** A parameter of a step in one lane, or {@link #JITTER} or {@link #JITTER_RATE}. */
    record OfLane(String step, int lane, String parameter) implements Target {
        /** The amount of the jitter. */
        public static final String JITTER = "jitter";

        /** Begins the name of the amount of a single parameter's own jitter: {@code jitter.x}. */
        public static final String OWN_JITTER = JITTER + ".";

        /** Whether a name stands for the amount of a jitter: the lane's, or a parameter's own. */
        public static boolean isJitter(String parameter) {
            return parameter.equals(JITTER) || parameter.startsWith(OWN_JITTER);
        }

        /** The frequency of the jitter, in Hz; only the rest value of a dial drives it. */
        public static final String JITTER_RATE = "jitter-rate";
    }

    /** A parameter of a step that is done to the whole picture, or its jitter as of a lane. */
    record OfStep(String step, String parameter) implements Target {}

    /** A number of the reach, by its name in {@link Reach#PARTS}. */
    record OfReach(String part) implements Target {}

    /** How much of a look's result is laid on. */
    record OfOnto() implements Target {}

    /** How much of a lane is in the picture. */
    record OfStrength(int lane) implements Target {}

    /** A number of a lane's time, by its name in {@link FeedParts}. */
    record OfFeed(int lane, String part) implements Target {}

    /** How long the look sees each frame, in degrees. */
    record OfShutter() implements Target {}

    /** Where a dial stands; nothing drives it but its own pegs. */
    record OfDial(String dial) implements Target {}

    /** A number of a burst, by its name in {@link BurstParts}; only dials drive it. */
    record OfBurst(String burst, String part) implements Target {}

    /** A number of the place of the look's layer: {@code x}, {@code y}, {@code scale}, {@code angle}. */
    record OfPlace(String part) implements Target {}

    /** Which word of an option of a step is chosen, by its place among them. */
    record OfWord(String step, String option) implements Target {}

    /** The id of the step that it is about; empty where it is about none. */
    default String stepId() {
        return switch (this) {
            case OfLane t -> t.step;
            case OfStep t -> t.step;
            case OfWord t -> t.step;
            default -> "";
        };
    }

    /** The number of the lane that it is about; -1 where it is about none. */
    default int lane() {
        return -1;
    }

    /** The same number of another lane; itself where it is of none. */
    default Target inLane(int lane) {
        return switch (this) {
            case OfLane t -> new OfLane(t.step, lane, t.parameter);
            case OfStrength t -> new OfStrength(lane);
            case OfFeed t -> new OfFeed(lane, t.part);
            default -> this;
        };
    }

    /** As it is written in files: {@code shift-1.red.x}, {@code exposure-1.stops}, {@code reach.low}. */
    default String address(Separation model) {
        return switch (this) {
            case OfLane t -> t.step + "." + model.lanes().get(t.lane).id() + "." + t.parameter;
            case OfStep t -> t.step + "." + t.parameter;
            case OfReach t -> "reach." + t.part;
            case OfOnto t -> "onto.amount";
            case OfStrength t -> "lane." + model.lanes().get(t.lane).id() + ".strength";
            case OfFeed t -> "lane." + model.lanes().get(t.lane).id() + "." + t.part;
            case OfDial t -> "dial." + t.dial;
            case OfShutter t -> "shutter.angle";
            case OfBurst t -> "burst." + t.burst + "." + t.part;
            case OfPlace t -> "place." + t.part;
            case OfWord t -> "word." + t.step + "." + t.option;
        };
    }

    /**
     * The target of an address.
     *
     * @param model of the look that it is in
     * @throws UnknownNameException if it names a lane that the model does not have
     * @throws IllegalArgumentException if it is no address at all
     */
    static Target parse(String address, Separation model) {
        String[] words = address.split("\\.", 3);
        boolean ownJitter = words.length == 3 && words[1].equals(OfLane.JITTER);
        if (words.length < 2 || words[0].isEmpty()) {
            throw new IllegalArgumentException(
                    "'" + address + "' is not an address such as shift-1.red.x");
        }
        return switch (words[0]) {
            case "reach" -> new OfReach(words[1]);
            case "onto" -> new OfOnto();
            case "shutter" -> new OfShutter();
            case "place" -> new OfPlace(words[1]);
            case "lane" ->
                    words.length == 3 && !words[2].equals("strength")
                            ? new OfFeed(lane(words[1], model), words[2])
                            : new OfStrength(lane(words[1], model));
            case "word" -> new OfWord(words[1], words.length == 3 ? words[2] : "");
            case "dial" -> new OfDial(address.substring("dial.".length()));
            case "burst" -> new OfBurst(words[1], words.length == 3 ? words[2] : "");
            default ->
                    words.length == 2 || ownJitter
                            ? new OfStep(words[0], address.substring(words[0].length() + 1))
                            : new OfLane(words[0], lane(words[1], model), words[2]);
        };
    }

    private static int lane(String id, Separation model) {
        return model.lanes()
                .indexOf(UnknownNameException.find("lane", id, model.lanes(), LaneKind::id));
    }
}
