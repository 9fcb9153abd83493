package ivrik.core.picture;

import java.util.function.Supplier;

/** Rows of colour by readers. */
record MadeColourRows(Size size, Supplier<ColourRows.Reader> readers) implements ColourRows {
    @Override
    public Reader reader() {
        return readers.get();
    }
}
