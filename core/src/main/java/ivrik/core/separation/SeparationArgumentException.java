package ivrik.core.separation;

import ivrik.core.IvrikException;

/** An invalid argument after the colon of a separation's name. */
public final class SeparationArgumentException extends IvrikException {
    SeparationArgumentException(String id, IllegalArgumentException cause) {
        super(
                "unknown separation " + id + ": " + cause.getMessage(),
                "write it as, for example, cmyk:0.6 or primaries:ff4020,20ff60,4040ff",
                cause);
    }
}
