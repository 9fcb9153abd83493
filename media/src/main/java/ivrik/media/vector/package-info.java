/** Vector graphics (SVG) drawn at the size they are shown. In: paths. Out: frames with alpha. */
package ivrik.media.vector;
