package ivrik.core.render;

import ivrik.core.cache.Store;
import ivrik.core.threads.Cancel;
import ivrik.core.threads.Workers;

/**
 * Where a picture is made.
 *
 * @param scale pixels of it to a pixel of the full-size sequence
 * @param store what is worth keeping of the way
 */
record Site(double scale, Workers workers, Cancel cancel, Store store) {}
