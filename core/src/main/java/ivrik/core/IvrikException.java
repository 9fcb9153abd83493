package ivrik.core;

/**
 * A fault that the user can act on. The message says what happened, to which file or value; {@link
 * #advice} what to do about it. Each kind of fault is a class of its own.
 */
public abstract class IvrikException extends RuntimeException {
    private final String advice;

    protected IvrikException(String what, String advice, Throwable cause) {
        super(what, cause);
        this.advice = advice;
    }

    public String advice() {
        return advice;
    }

    /** What happened and what to do, in one line. */
    public String oneLine() {
        return (getMessage() + ": " + advice).replaceAll("\\s+", " ");
    }
}
