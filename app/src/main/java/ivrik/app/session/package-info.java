/**
 * Application state: project and selection as one immutable state, undo history, file, journal, and display
 * settings. No controls.
 */
package ivrik.app.session;
