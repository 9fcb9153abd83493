package ivrik.core.project;

/** What lies beneath all layers. */
public enum Ground {
    /** Nothing: the picture leaves with alpha where no layer covers it. */
    NOTHING,
    /** Black, on which light adds. */
    BLACK,
    /** Paper white, on which ink takes away. */
    PAPER
}
