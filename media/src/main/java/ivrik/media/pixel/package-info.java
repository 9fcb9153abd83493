/**
 * Exact conversion between FFmpeg's pixel formats and core frames, driven by FFmpeg's pixel format
 * descriptors. Depends on core and ffmpeg.
 */
package ivrik.media.pixel;
