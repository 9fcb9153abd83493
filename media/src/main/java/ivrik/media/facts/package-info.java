/**
 * What there is to say of a source's file. In: a source. Out: facts for people and scripts. Depends on
 * decoding and sound.
 */
package ivrik.media.facts;
