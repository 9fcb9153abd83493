package ivrik.core.treatment;

/** Kind of a treatment's main control: how its numbers are drawn and dragged. */
public enum Control {
    /** A position: {@code x} and {@code y} of each channel on one pad. */
    PAD,
    /** One number: one handle per channel on a ruler. */
    RULER,
    /** A direction and a length: {@code angle} and {@code length}. */
    DIRECTION,
    /** Spread of wavelengths per channel: {@code length}. */
    SPECTRUM,
    /** Magnification per channel from the centre to the corner. */
    LENS,
    /** Output over input: one curve per channel in a plot. */
    PLOT,
    /** Colours along a strip from dark to light. */
    GRADIENT,
    /** A grid of weights. */
    GRID,
    /** Draggable pins on the picture. */
    PINS
}
