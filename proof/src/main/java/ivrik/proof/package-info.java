/**
 * Robustness trials: the application is killed, starved and fed invalid input for any length of time. Not
 * shipped; {@code proof/run} starts them.
 */
package ivrik.proof;
