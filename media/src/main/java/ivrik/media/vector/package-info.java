/**
 * Vector graphics (SVG) and titles, drawn at their displayed size. In: paths. Out: frames with alpha.
 */
package ivrik.media.vector;
