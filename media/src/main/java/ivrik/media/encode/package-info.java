/**
 * Writes stills, numbered sequences and movies with sound, each completely or not at all. In: frames. Out:
 * files. Depends on core, pixel, sound and file.
 */
package ivrik.media.encode;
