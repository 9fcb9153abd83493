/**
 * Kinds of controls: for each its drawing in a cell, its control in the controls panel and its handle on the
 * picture, in one class. In: a treatment's description and settings. Out: drawings, nodes and edits. Depends
 * on session, widget and theme.
 */
package ivrik.app.shape;
