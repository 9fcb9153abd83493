package ivrik.media;

import ivrik.core.IvrikException;

/** A file cannot be written; an existing file is unchanged. */
public final class UnwritableTargetException extends IvrikException {
    public UnwritableTargetException(String what, String advice, Throwable cause) {
        super(what, advice, cause);
    }
}
