/**
 * Looks as data: channels, treatments with values over time, rejoin, blend and dials, and the built-in looks.
 * Immutable records; an edit makes a new record. Depends on motion, separation, treatment and rejoin.
 */
package ivrik.core.look;
