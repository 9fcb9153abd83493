/**
 * Geometry and sampling: interpolation, edge fill, resizing. In and out: planes. Depends on {@code picture}
 * only.
 */
package ivrik.core.sampling;
