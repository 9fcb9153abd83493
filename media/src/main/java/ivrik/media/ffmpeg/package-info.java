/**
 * Crossing into FFmpeg: its numbers, its words, and the memory of its frames, never beyond what was
 * allocated. Depends on core and FFmpeg.
 */
package ivrik.media.ffmpeg;
