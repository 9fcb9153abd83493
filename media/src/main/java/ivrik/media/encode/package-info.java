/**
 * Writing footage: stills, numbered sequences and movies with sound, each whole or not at all. In:
 * core frames. Out: files. Depends on core, pixels, sound and safe files.
 */
package ivrik.media.encode;
