package ivrik.core.json;

import ivrik.core.IvrikException;

/** A file of another format, or of a newer version of Ivrik. */
public final class ForeignFileException extends IvrikException {
    ForeignFileException(String what, String advice) {
        super(what, advice, null);
    }

    /** The same exception with the name of the file. */
    public ForeignFileException of(String file) {
        return new ForeignFileException(file + ": " + getMessage(), advice());
    }
}
