/**
 * Measurements of pictures: misregistration, channel edges, lens aberration, colour cast and scopes. In:
 * frames. Out: numbers. Depends on picture and filter.
 */
package ivrik.core.measure;
