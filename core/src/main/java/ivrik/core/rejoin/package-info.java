/**
 * Lanes put back into a picture, pictures put onto each other. In: lanes or frames. Out: a frame.
 * Depends on pictures and separations.
 */
package ivrik.core.rejoin;
