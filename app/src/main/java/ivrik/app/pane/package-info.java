/** The panes: the picture with its handles and marks, the loupe, and the footer. */
package ivrik.app.pane;
