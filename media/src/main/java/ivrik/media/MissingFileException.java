package ivrik.media;

import ivrik.core.IvrikException;

/** A file is not where it is said to be. */
public final class MissingFileException extends IvrikException {
    public MissingFileException(String path) {
        super(
                "the file " + path + " is missing",
                "put it back, or point Ivrik to where it is now",
                null);
    }
}
