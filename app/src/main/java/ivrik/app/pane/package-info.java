/** The panes: the picture, its handles and marks, the loupe, and the line that says what is worked on. */
package ivrik.app.pane;
