/**
 * Files written aside and moved into place, project files and their journals. Depends on core's JSON
 * forms.
 */
package ivrik.media.file;
