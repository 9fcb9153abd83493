/**
 * Colour models: separate a frame into channels and rejoin them exactly. One class per model, found by name
 * in {@code Separations}. Depends on picture and colour.
 */
package ivrik.core.separation;
