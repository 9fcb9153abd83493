package ivrik.media;

import ivrik.core.IvrikException;

/** A file cannot be written; what was there before is as it was. */
public final class UnwritableTargetException extends IvrikException {
    public UnwritableTargetException(String what, String advice, Throwable cause) {
        super(what, advice, cause);
    }
}
