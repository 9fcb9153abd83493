/**
 * Pictures for the panes: rendered off the interface thread, the latest request first, reduced then full
 * size; cached for playback. Depends on session and core's renderer.
 */
package ivrik.app.picture;
