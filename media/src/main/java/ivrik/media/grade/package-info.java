/**
 * Grades of other programs: lookup tables and colour decision lists come in as looks of one treatment, and go out
 * of looks. Depends on core and on how texts are read.
 */
package ivrik.media.grade;
