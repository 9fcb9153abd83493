/** A fixed thread pool and cancellation. Depends on nothing. */
package ivrik.core.threads;
