/**
 * Exchange of grades: lookup tables and colour decision lists become looks with one treatment, and looks
 * become tables. Depends on core and file.
 */
package ivrik.media.grade;
