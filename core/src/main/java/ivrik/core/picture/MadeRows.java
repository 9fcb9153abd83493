package ivrik.core.picture;

import java.util.function.Supplier;

/** Rows by readers. */
record MadeRows(Size size, boolean areRead, Supplier<Rows.Reader> readers) implements Rows {
    @Override
    public int width() {
        return size.width();
    }

    @Override
    public int height() {
        return size.height();
    }

    @Override
    public Reader reader() {
        return readers.get();
    }
}
