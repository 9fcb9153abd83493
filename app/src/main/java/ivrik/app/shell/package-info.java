/**
 * Assembles the window: commands and keys, the header, and the connections between session, pictures and
 * panes; and the start.
 */
package ivrik.app.shell;
