/**
 * Projects and looks as JSON text: written whole, read as far as they can be, with a list of what
 * could not. In and out: strings. Depends on project, look and Jackson.
 */
package ivrik.core.json;
