/**
 * Geometry and sampling: values between pixels, what lies outside a picture, pictures of another size. In
 * and out: planes. Depends on pictures only.
 */
package ivrik.core.sampling;
