/** Controls that know nothing of the project: numbers, canvases, lane badges. */
package ivrik.app.control;
