/**
 * Packs a project with all its files into one zip file, and extracts it. Depends on file and decode.
 */
package ivrik.media.pack;
