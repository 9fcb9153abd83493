package ivrik.app.sheet;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.SequencedMap;

/** Words of the window that are not every trade's, each in a sentence or two. */
public final class Glossary {
    private static final SequencedMap<String, String> WORDS = new LinkedHashMap<>();

    static {
        put("lane", "One channel of a separation, with all that is done to it, as a row.");
        put("separation", "Taking a picture apart into the channels of a colour model.");
        put("treatment", "One step done to the lanes, each by its own amounts, or to the picture.");
        put("rejoin", "Putting the lanes back into a picture.");
        put("ink", "The colour that a lane paints with when the lanes are rejoined.");
        put(
                "in register",
                "The rejoined lanes are the source again, to the last bit. Out of register, they"
                        + " are not, by as much as the number says.");
        put(
                "look",
                "All that is done to a picture, as one thing that can be kept and used again:"
                        + " separation, treatments, rejoining, dials.");
        put("reach", "Which part of the picture a look touches: tones, a colour, a matte.");
        put("dial", "One control of a look that drives several numbers at once.");
        put("take", "A complete variant of a layer's looks, kept beside the one in use.");
        put("span", "A range of time whose looks apply to all that lies beneath.");
        put("peg", "A value that is set for a frame; between pegs it goes along an ease.");
        put("trace", "A value drawn over time.");
        put(
                "burst",
                "A movement around a cut, a marker or a frame: it comes in by phases, has its"
                        + " peak, and goes out.");
        put("phase", "One step of a burst, some frames long.");
        put("jitter", "Random movement that is the same each time, by its seed.");
        put("seed", "The number that random values are drawn from; another, other values.");
        put("edges", "What lies where a lane has moved away: empty, repeat, mirror, wrap.");
        put("overscan", "Enlarging the picture so that no uncovered edge shows.");
        put("progressives", "The sheet of each lane alone, each pair, and all together.");
        put("tray", "Where footage, looks and takes lie ready, on the left.");
        put("close-up", "The large controls of what is selected, on the right.");
        put("ground", "What is seen where no layer covers it.");
    }

    private Glossary() {}

    private static void put(String word, String sense) {
        WORDS.put(word, sense);
    }

    /** Each word and what it means. */
    public static Map<String, String> words() {
        return java.util.Collections.unmodifiableMap(WORDS);
    }
}
