/**
 * Planes and frames: 32-bit float pictures, their depths and their coverage, whole or by rows. In: arrays of
 * samples. Out: planes and frames. Depends on threads only.
 */
package ivrik.core.picture;
