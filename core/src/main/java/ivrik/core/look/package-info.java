/**
 * Looks as data: lanes, treatment steps with their values over time, rejoin, onto and dials, and the
 * looks that come built in. Immutable records; an edit makes a new one. Depends on motion,
 * separations, treatments and rejoin.
 */
package ivrik.core.look;
