/**
 * The kernels that treatments consist of: warps sampled once, Gaussian and box blurs, morphology, medians,
 * small convolutions, noise. In: planes and numbers in pixels of the plane. Out: planes, or rows computed on
 * request. Depends on {@code picture}, {@code sampling} and {@code threads}.
 */
package ivrik.core.filter;
