package ivrik.core.separation;

/**
 * What a lane is. It adds nothing to a picture where it is 0.
 *
 * @param id its name in files
 * @param title its name in the window
 * @param letter stands for it where there is little room
 * @param role what it does in its model: a lane of the same role in another model is its counterpart
 * @param ink the colour it paints with at rest
 * @param paint how it paints
 * @param span the value at which it paints its ink in full
 */
public record LaneKind(
        String id, String title, String letter, Role role, Ink ink, Paint paint, float span) {
    /** A lane whose values run from 0 to 1. */
    public LaneKind(String id, String title, String letter, Role role, Ink ink, Paint paint) {
        this(id, title, letter, role, ink, paint, 1);
    }

    /** What lanes of different models have in common. */
    public enum Role {
        /** Red light, the ink that takes it away, or the first of three of the kind. */
        FIRST,
        /** Green light, the ink that takes it away, or the second of three of the kind. */
        SECOND,
        /** Blue light, the ink that takes it away, or the third of three of the kind. */
        THIRD,
        /** The black of printing. */
        KEY,
        /** How light it is. */
        LIGHTNESS,
        /** The colour difference that tells red from green. */
        RED_GREEN,
        /** The colour difference that tells blue from yellow. */
        BLUE_YELLOW,
        /** Which colour, as an angle. */
        HUE,
        /** How colourful. */
        CHROMA
    }
}
