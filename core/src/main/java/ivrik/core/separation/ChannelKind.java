package ivrik.core.separation;

/**
 * A channel of a colour model. A value of 0 contributes nothing to the picture.
 *
 * @param id name in files
 * @param title name in the window
 * @param letter abbreviation
 * @param role role in the model; channels of different models with the same role correspond
 * @param ink default display colour
 * @param paint how a value becomes colour
 * @param span value that shows the full ink
 */
public record ChannelKind(
        String id, String title, String letter, Role role, Ink ink, Paint paint, float span) {
    /** A channel with values from 0 to 1. */
    public ChannelKind(String id, String title, String letter, Role role, Ink ink, Paint paint) {
        this(id, title, letter, role, ink, paint, 1);
    }

    /** Role of a channel, comparable between models. */
    public enum Role {
        /** Red light, the ink that absorbs it, or the first of three primaries. */
        FIRST,
        /** Green light, the ink that absorbs it, or the second of three primaries. */
        SECOND,
        /** Blue light, the ink that absorbs it, or the third of three primaries. */
        THIRD,
        /** Black ink. */
        KEY,
        /** Lightness. */
        LIGHTNESS,
        /** Red-green colour difference. */
        RED_GREEN,
        /** Blue-yellow colour difference. */
        BLUE_YELLOW,
        /** Hue angle. */
        HUE,
        /** Colourfulness. */
        CHROMA
    }
}
