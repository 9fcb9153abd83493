package ivrik.media;

import ivrik.core.IvrikException;

/** A file exists but its content cannot be read. */
public final class UnreadableMediaException extends IvrikException {
    public UnreadableMediaException(String what, String advice) {
        super(what, advice, null);
    }

    public UnreadableMediaException(String what, String advice, Throwable cause) {
        super(what, advice, cause);
    }
}
