/**
 * Frames for the panes: rendered off the interface thread, newest first, quick then fine; kept for
 * playback. Depends on the session and on core's renderer.
 */
package ivrik.app.picture;
