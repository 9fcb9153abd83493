/**
 * Projects and looks as JSON text. Files are written completely and read as far as possible, with a list of
 * errors. In and out: strings. Depends on project, look and Jackson.
 */
package ivrik.core.json;
