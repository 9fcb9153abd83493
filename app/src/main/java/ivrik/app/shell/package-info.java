/**
 * The window put together: commands and their keys, the header, and what ties session, pictures and
 * panes to each other; and how it is started.
 */
package ivrik.app.shell;
