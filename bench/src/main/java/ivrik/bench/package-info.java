/**
 * Speed, as ratios measured side by side in one run: ours against a reference on the same data and
 * as many threads. Depends on core and OpenCV.
 */
package ivrik.bench;
