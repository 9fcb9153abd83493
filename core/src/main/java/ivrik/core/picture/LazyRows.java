package ivrik.core.picture;

import java.util.function.Supplier;

/** Rows that readers compute on request. */
record LazyRows(Size size, boolean areRead, Supplier<Rows.Reader> readers) implements Rows {
    @Override
    public Reader reader() {
        return readers.get();
    }
}
