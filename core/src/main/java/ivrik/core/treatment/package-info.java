/**
 * Treatments: one class each, found by name in {@code Treatments}. In: a plane and numbers. Out: a plane.
 * Depends on picture, colour, filter, sampling, separation and rejoin.
 */
package ivrik.core.treatment;
