/**
 * The kernels that treatments are made of: warps sampled once, Gaussian and box blurs, running
 * extremes, medians, small convolutions, noise. In: planes and plain numbers in their own pixels. Out:
 * planes, or rows made when asked for. Depends on pictures only.
 */
package ivrik.core.filter;
