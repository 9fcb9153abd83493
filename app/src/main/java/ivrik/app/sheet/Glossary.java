package ivrik.app.sheet;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.SequencedMap;

/** Ivrik's own words, explained in one or two sentences. */
public final class Glossary {
    /** Start of the ids of commands that explain a word. */
    public static final String ID = "word-";

    private static final SequencedMap<String, String> ENTRIES = new LinkedHashMap<>();

    static {
        put(
                "channel",
                "One component of a separation, such as red or luma, with its treatments; one"
                        + " row of the desk.");
        put("separation", "Splitting a picture into the channels of a colour model.");
        put(
                "treatment",
                "One step applied to the channels, each with its own settings, or to the whole"
                        + " picture.");
        put("rejoin", "Putting the treated channels back into a picture.");
        put("ink", "The colour in which a channel contributes to the picture at the rejoin.");
        put(
                "in register",
                "The channels line up; the header shows exact while they recombine to the"
                        + " source, otherwise the largest difference.");
        put(
                "look",
                "A complete, reusable treatment of a picture: separation, treatments, rejoin"
                        + " and dials, saved under a name.");
        put("mask", "The part of the picture that a look changes: by tone, by colour, by matte.");
        put("dial", "A control of a look that changes several values at once.");
        put("take", "A saved variant of a layer's looks, beside the current one.");
        put("span", "A range of time whose looks apply to all layers below.");
        put("keyframe", "A value set at a frame; values between keyframes follow an ease.");
        put("graph", "A value plotted over time.");
        put(
                "burst",
                "A movement anchored to a cut, marker or frame: phases in, a peak, phases out.");
        put("phase", "One step of a burst, with a length in frames and a strength.");
        put("jitter", "Random movement that a seed makes repeatable.");
        put(
                "seed",
                "A number that selects one random pattern; the same seed gives the same"
                        + " pattern.");
        put(
                "edge fill",
                "What fills the area that a moved channel uncovers: empty, repeat, mirror,"
                        + " wrap.");
        put("overscan", "Enlarging the picture to hide edges that moves uncover.");
        put(
                "channel combinations",
                "A sheet with each channel alone, each pair, and all together.");
        put(
                "swipe",
                "A movement from one place to another that does not come back, such as a"
                        + " scroll across a cut.");
        put("border pins", "Pins along the edge of the picture that keep the edge in place.");
        put("blend sheet", "The current frame in every blend mode.");
        put("pane", "One view of the picture; two can be side by side.");
        put("tray", "The panel at the left with footage, looks and takes.");
        put(
                "desk",
                "The panel below the picture: channels and treatments, with time beside"
                        + " them.");
        put("controls", "The panel at the right with the controls of the selection.");
        put("background", "What shows where no layer covers the sequence.");
    }

    private Glossary() {}

    private static void put(String term, String sense) {
        ENTRIES.put(term, sense);
    }

    /** Each word and its explanation. */
    public static Map<String, String> entries() {
        return java.util.Collections.unmodifiableMap(ENTRIES);
    }
}
