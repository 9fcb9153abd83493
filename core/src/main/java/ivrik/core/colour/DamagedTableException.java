package ivrik.core.colour;

import ivrik.core.IvrikException;

/** A text that was to be a table of colours is none, or part of it is missing. */
public final class DamagedTableException extends IvrikException {
    /**
     * @param line in which it is, from 1
     */
    DamagedTableException(String table, int line, String what) {
        super(
                "the table " + table + " cannot be read: line " + line + ": " + what,
                "write it again, or choose another",
                null);
    }
}
