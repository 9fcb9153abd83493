/**
 * Pixels and sound in and out of files: movies, stills, numbered sequences, vector graphics, and
 * project files. In: paths. Out: core frames, and files written whole or not at all. Depends on core
 * and FFmpeg.
 */
package ivrik.media;
