/**
 * Scopes beside the picture: counted off the interface thread and drawn. In: pictures on screen. Does not
 * depend on the project.
 */
package ivrik.app.scope;
