package ivrik.core.look;

import ivrik.core.IvrikException;

/** A dial value outside the dial's range. */
public final class DialRangeException extends IvrikException {
    DialRangeException(Dial dial, double value) {
        super(
                "dial " + dial.name() + " cannot be set to " + value + " " + dial.unit(),
                "choose a value from " + dial.min() + " to " + dial.max(),
                null);
    }
}
