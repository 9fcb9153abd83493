package ivrik.core.look;

/** The three parts of a look's road, in their order. */
public enum Section {
    /** The whole picture, before it is separated. */
    PREPARE,
    /** Each lane by itself. */
    LANES,
    /** The whole picture, after it is rejoined. */
    FINISH
}
