/**
 * Reading footage: what a file is, and any frame of it by number. In: paths. Out: sources and
 * frames. Depends on core, pixels and vector graphics.
 */
package ivrik.media.decode;
