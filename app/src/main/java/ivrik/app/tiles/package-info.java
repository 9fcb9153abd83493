/**
 * Sheets of live thumbnails in place of the desk: looks, treatments, takes, blend modes and channel
 * combinations. In: the session and thumbnails. Out: previews for the panes, and edits.
 */
package ivrik.app.tiles;
