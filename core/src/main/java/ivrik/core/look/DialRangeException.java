package ivrik.core.look;

import ivrik.core.IvrikException;

/** A dial was to be set to a value outside its range. */
public final class DialRangeException extends IvrikException {
    DialRangeException(Dial dial, double value) {
        super(
                "the dial " + dial.name() + " cannot be " + value + " " + dial.unit(),
                "choose a value from " + dial.min() + " to " + dial.max(),
                null);
    }
}
