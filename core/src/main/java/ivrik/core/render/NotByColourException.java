package ivrik.core.render;

import ivrik.core.IvrikException;

/** What a look makes of a colour depends on more than that colour: no table of colours can say it. */
public final class NotByColourException extends IvrikException {
    NotByColourException(String look, String what) {
        super(
                "the look '"
                        + look
                        + "' cannot be a table of colours, for "
                        + what
                        + " depends on more than each colour by itself",
                "switch that off, or put it at rest",
                null);
    }
}
