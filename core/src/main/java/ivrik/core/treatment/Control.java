package ivrik.core.treatment;

/** What shape the numbers of a treatment have, and with that how they are drawn and held. */
public enum Control {
    /** A place: {@code x} and {@code y} of each lane on one pad. */
    PAD,
    /** One number first of all: a marker per lane on one ruler. */
    RULER,
    /** A direction and a length: {@code angle} and {@code length}. */
    DIRECTION,
    /** How far the wavelengths of each lane are spread: {@code length}. */
    SPECTRUM,
    /** How far each lane is magnified from the centre to the corner. */
    LENS,
    /** What comes out for what goes in: a curve per lane in one plot. */
    PLOT,
    /** Colours along a strip from dark to light. */
    GRADIENT,
    /** A grid of weights. */
    GRID,
    /** Pins on the picture, dragged to where they hold it. */
    PINS
}
