/**
 * One cache for decoded frames, results of pipeline stages and finished frames. In: a key that lists all
 * inputs of a result, and a function that computes the result. Out: the result, computed once. Depends on
 * {@code picture} only.
 */
package ivrik.core.cache;
