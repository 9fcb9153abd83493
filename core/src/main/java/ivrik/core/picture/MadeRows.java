package ivrik.core.picture;

import java.util.function.Supplier;

/** Rows by readers. */
record MadeRows(Size size, boolean areRead, Supplier<Rows.Reader> readers) implements Rows {
    @Override
    public Reader reader() {
        return readers.get();
    }
}
