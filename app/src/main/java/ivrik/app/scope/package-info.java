/**
 * Instruments beside the picture: what is shown is counted off the interface thread and drawn. In come pictures
 * that are on the screen; it knows nothing of the project.
 */
package ivrik.app.scope;
