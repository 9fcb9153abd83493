/** Atomic file writing, project files, locks and journals. Depends on core's JSON. */
package ivrik.media.file;
