/**
 * Access to FFmpeg: numbers, messages and bounds-checked frame memory. Depends on core and FFmpeg.
 */
package ivrik.media.ffmpeg;
