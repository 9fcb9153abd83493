package ivrik.media;

import ivrik.core.IvrikException;

/** A file does not exist. */
public final class MissingFileException extends IvrikException {
    public MissingFileException(String path) {
        super("the file " + path + " is missing", "restore the file or relink it", null);
    }
}
