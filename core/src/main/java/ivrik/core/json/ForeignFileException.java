package ivrik.core.json;

import ivrik.core.IvrikException;

/** A text that is not of the kind asked for, or that a newer version has written. */
public final class ForeignFileException extends IvrikException {
    ForeignFileException(String what, String advice) {
        super(what, advice, null);
    }
}
