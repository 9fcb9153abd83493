/**
 * Reads footage: identifies files and decodes frames by number. In: paths. Out: sources and frames. Depends
 * on core, pixel and vector.
 */
package ivrik.media.decode;
