/**
 * Planes and frames: 32-bit float pictures with depth and coverage, whole or by rows. In: arrays of samples.
 * Out: planes and frames. Depends on {@code threads} only.
 */
package ivrik.core.picture;
