/** The tray: footage and looks that lie ready. */
package ivrik.app.tray;
