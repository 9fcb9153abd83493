package ivrik.core.render;

import ivrik.core.IvrikException;

/**
 * The result of a look for a colour depends on more than the colour, so that no colour table can represent
 * it.
 */
public final class NotByColourException extends IvrikException {
    NotByColourException(String look, String what) {
        super(
                "look '"
                        + look
                        + "' cannot become a lookup table: "
                        + what
                        + " depends on position, neighbouring pixels or time",
                "turn it off or reset it",
                null);
    }
}
