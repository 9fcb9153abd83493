/**
 * Values over time: a rest value, pegs, eases and seeded jitter, all evaluated at rational frame
 * times. In: a frame. Out: a number. Depends on nothing but the JDK.
 */
package ivrik.core.motion;
