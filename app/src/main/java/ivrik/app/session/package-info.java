/**
 * What is being worked on: the project and selection as one immutable state, the list of states that
 * undo walks, the file, the journal, and how it is looked at. No controls.
 */
package ivrik.app.session;
