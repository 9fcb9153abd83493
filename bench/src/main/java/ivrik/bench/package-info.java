/**
 * Speed as ratios measured side by side in one run: Ivrik against a reference on the same data with the same
 * number of threads. Depends on core and OpenCV.
 */
package ivrik.bench;
