/**
 * Sheets of small live pictures in the place of the desk: this frame in all blend modes, and the
 * progressives. In: the session and small renders. Out: trials for the panes, edits when one is taken.
 */
package ivrik.app.band;
