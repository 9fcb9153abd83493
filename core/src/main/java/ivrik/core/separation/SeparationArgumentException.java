package ivrik.core.separation;

import ivrik.core.IvrikException;

/** What follows the colon in a separation's name is not understood. */
public final class SeparationArgumentException extends IvrikException {
    SeparationArgumentException(String id, IllegalArgumentException cause) {
        super(
                "the separation " + id + " is not understood: " + cause.getMessage(),
                "write cmyk:0.6 or trio:ff4020,20ff60,4040ff",
                cause);
    }
}
