/** Sound tracks as stereo floats at one rate: reading and mixing. */
package ivrik.media.sound;
