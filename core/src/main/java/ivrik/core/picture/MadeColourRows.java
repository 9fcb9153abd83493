package ivrik.core.picture;

import java.util.function.Supplier;

/** Rows of colour by readers. */
record MadeColourRows(Size size, Supplier<ColourRows.Reader> readers) implements ColourRows {
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
