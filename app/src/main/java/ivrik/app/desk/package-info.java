/**
 * The desk: lanes down, treatments across, and in the same rows how the selected treatment moves over
 * time.
 */
package ivrik.app.desk;
