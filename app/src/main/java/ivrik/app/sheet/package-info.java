/** Sheets above the window: export, command list, questions and messages. */
package ivrik.app.sheet;
