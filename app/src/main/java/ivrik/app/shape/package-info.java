/**
 * The shapes that numbers can have: for each its drawing in a cell, its control in the close-up and its
 * handle on the picture, all in one class, listed once. In: a treatment's description and its numbers. Out:
 * drawings, nodes and edits. Depends on session, controls and theme.
 */
package ivrik.app.shape;
