/**
 * Describes source files for people and scripts. In: a source. Out: facts. Depends on decode and sound.
 */
package ivrik.media.facts;
