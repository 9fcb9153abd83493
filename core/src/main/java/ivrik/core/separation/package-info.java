/**
 * Colour models that a picture is taken apart into: lanes out of a frame, and exactly back. One
 * class per model, found by name in {@code Separations}. Depends on pictures and colour.
 */
package ivrik.core.separation;
