package ivrik.core.colour;

import ivrik.core.IvrikException;

/** A lookup table cannot be parsed or is incomplete. */
public final class DamagedTableException extends IvrikException {
    /**
     * @param line line of the fault, from 1
     */
    DamagedTableException(String table, int line, String what) {
        super(
                "lookup table " + table + " cannot be read, line " + line + ": " + what,
                "export the file again or choose another",
                null);
    }
}
