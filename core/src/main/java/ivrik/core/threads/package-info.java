/**
 * Work spread over a fixed pool of threads, and given up when nobody wants it. Depends on nothing.
 */
package ivrik.core.threads;
