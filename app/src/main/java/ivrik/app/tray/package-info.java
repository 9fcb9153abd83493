/** The tray: footage and looks. */
package ivrik.app.tray;
