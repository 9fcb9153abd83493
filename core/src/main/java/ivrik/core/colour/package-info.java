/**
 * Colour spaces, transfer functions, matrices and lookup tables. In and out: gamma-encoded or linear values.
 * Depends on the JDK, {@code picture} and {@code threads}.
 */
package ivrik.core.colour;
