/**
 * Measuring pictures: how far one is from another, and where the edges of its channels lie. In: frames.
 * Out: numbers. Depends on pictures and filters.
 */
package ivrik.core.measure;
