package ivrik.core;

/**
 * An error that the user can act on. The message says what happened and to which file or value;
 * {@link #advice} says what to do. Each kind of error is a class of its own.
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

    /** The message and the advice in one line. */
    public String oneLine() {
        return (getMessage() + ": " + advice).replaceAll("\\s+", " ");
    }
}
