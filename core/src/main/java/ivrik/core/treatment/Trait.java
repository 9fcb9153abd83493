package ivrik.core.treatment;

/** What the renderer has to know of a treatment. */
public enum Trait {
    /** Each value is treated by itself, whatever is beside it: coverage and angles stay what they are. */
    POINTWISE,
    /** What it makes of a value depends on where that lies, even where nothing beside it matters. */
    PLACED,
    /** Each channel of a whole picture is treated by itself: the coverage of each stays its own. */
    BY_CHANNEL,
    /** It moves or spreads what is there, and coverage along with it. */
    SPREADS,
    /** It adds light, beyond what is covered as well: there it covers as much as it adds. */
    SHINES,
    /** It does all its work in linear light: those that follow each other take the picture there once. */
    LIGHT,
    /** Another at every frame: it is told the frame. */
    LIVE,
    /** It uses another picture, which the step names. */
    PICTURE,
    /** It uses a table of colours, which the step brings along. */
    TABLE,
    /** Its amounts are measured of the shot. */
    MEASURED
}
