package ivrik.core.json;

import ivrik.core.IvrikException;

/** A text that is not of the kind asked for, or that a newer version has written. */
public final class ForeignFileException extends IvrikException {
    ForeignFileException(String what, String advice) {
        super(what, advice, null);
    }

    /** The same, of a file that is named. */
    public ForeignFileException of(String file) {
        return new ForeignFileException(file + ": " + getMessage(), advice());
    }
}
