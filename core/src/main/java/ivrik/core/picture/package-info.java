/**
 * Planes and frames: 32-bit float pictures, their depths, edges, samplers and the threads that work
 * on them. In: arrays of samples. Out: planes and frames. Depends on nothing but the JDK.
 */
package ivrik.core.picture;
