/**
 * Rejoins channels into a picture, and composites pictures. In: channels or frames. Out: a frame. Depends on
 * picture and separation.
 */
package ivrik.core.rejoin;
