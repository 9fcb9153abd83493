/**
 * What shows that Ivrik holds: the application killed, starved and fed from outside, for as long as one
 * likes. Not shipped; {@code proof/run} starts it.
 */
package ivrik.proof;
