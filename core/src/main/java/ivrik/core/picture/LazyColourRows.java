package ivrik.core.picture;

import java.util.function.Supplier;

/** Colour rows that readers compute on request. */
record LazyColourRows(Size size, Supplier<ColourRows.Reader> readers) implements ColourRows {
    @Override
    public Reader reader() {
        return readers.get();
    }
}
