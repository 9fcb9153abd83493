/**
 * Light and its codes: transfer functions. In and out: single values as delivered or linear.
 * Depends on nothing but the JDK.
 */
package ivrik.core.colour;
