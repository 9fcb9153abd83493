/** Sound tracks as stereo floats at one rate: read from files, mixed for a sequence. */
package ivrik.media.sound;
