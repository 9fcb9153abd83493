/** Sheets laid over the window: export, the command list, questions and explanations. */
package ivrik.app.sheet;
