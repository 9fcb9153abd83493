package ivrik.core.picture;

/** What a frame's coverage means for its colour. */
public enum Alpha {
    /** Covered everywhere; there are no coverage planes. */
    OPAQUE,
    /** Colour is as delivered, not multiplied by coverage. */
    STRAIGHT,
    /** Colour has been multiplied by coverage, each channel by its own. */
    PREMULTIPLIED
}
