package ivrik.core.treatment;

/** Properties of a treatment beyond its parameters. */
public enum Trait {
    /** Each value is treated on its own; coverage and angles stay as they are. */
    POINTWISE,
    /** The result depends on the position, though not on neighbours. */
    PLACED,
    /** Each channel of a whole picture is treated on its own and keeps its own coverage. */
    BY_CHANNEL,
    /** Moves or spreads the picture, including coverage. */
    SPREADS,
    /** Adds light, also outside the covered part, where the added light is also coverage. */
    SHINES,
    /** Works in linear light; consecutive such treatments share one conversion. */
    LIGHT,
    /** Differs at every frame; the settings include the frame. */
    LIVE,
    /** Uses the step's picture. */
    PICTURE,
    /** Uses the step's own colour table. */
    TABLE,
    /** Its settings are measured from the shot. */
    MEASURED,
    /** Grades tones or colours: a new one is at rest, because its values depend on the footage. */
    GRADES
}
