/**
 * Values over time: rest values, keyframes, easing, seeded jitter and bursts, evaluated at rational frame
 * times. In: a frame. Out: a number. Depends only on the JDK.
 */
package ivrik.core.motion;
