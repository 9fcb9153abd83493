/**
 * FFmpeg's pixel layouts to core frames and back, exactly: driven by FFmpeg's own description of
 * each layout. Depends on core's pictures.
 */
package ivrik.media.pixel;
