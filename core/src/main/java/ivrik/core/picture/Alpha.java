package ivrik.core.picture;

/** Relation of colour to coverage in a frame. */
public enum Alpha {
    /** Fully covered; there are no coverage planes. */
    OPAQUE,
    /** Colour is not multiplied by coverage. */
    STRAIGHT,
    /** Colour is multiplied by coverage, each channel by its own. */
    PREMULTIPLIED
}
