/**
 * The controls of the selection, with all channels in each control. One {@code Part} per kind of selection.
 */
package ivrik.app.controls;
