/**
 * The desk: channels in rows, treatments in columns, and in the same rows the graphs of the selected
 * treatment over time.
 */
package ivrik.app.desk;
