/**
 * Reads and writes pictures and sound: movies, stills, numbered sequences, vector graphics and project files.
 * In: paths. Out: frames, and files that are written completely or not at all. Depends on core and FFmpeg.
 */
package ivrik.media;
