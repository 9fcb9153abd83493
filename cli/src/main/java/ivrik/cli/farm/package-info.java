/**
 * Distributes work to many machines by an existing scheduler. In: the command lines of independent parts.
 * Out: jobs, and a folder on a shared disk with a marker file and a log per part. Does not depend on the
 * content of the work.
 */
package ivrik.cli.farm;
