/**
 * One store for all that is worth keeping: decoded pictures, stages of the road, finished frames. In: a
 * key that says all that a thing depends on, and how to make it. Out: the thing, made once. Depends on
 * pictures only.
 */
package ivrik.core.cache;
