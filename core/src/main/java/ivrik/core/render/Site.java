package ivrik.core.render;

import ivrik.core.cache.Key;
import ivrik.core.cache.Store;
import ivrik.core.threads.Cancel;
import ivrik.core.threads.Workers;

/**
 * Where a picture is made.
 *
 * @param scale pixels of it to a pixel of the full-size sequence
 * @param store what is worth keeping of the way
 * @param ahead whether it is only seen what kind of picture it will be: nothing counts as asked for by that
 */
record Site(double scale, Workers workers, Cancel cancel, Store store, boolean ahead) {
    Site(double scale, Workers workers, Cancel cancel, Store store) {
        this(scale, workers, cancel, store, false);
    }

    /** Whether something is asked for for the second time or more, so that it is worth keeping. */
    boolean recurs(Key key) {
        return !ahead && store.recurs(key);
    }
}
