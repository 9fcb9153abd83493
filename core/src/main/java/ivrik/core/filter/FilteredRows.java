package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;

/** Rows computed from a plane of the same size. */
public interface FilteredRows extends Rows {
    /** The input plane. */
    Plane in();

    @Override
    default Size size() {
        return in().size();
    }

    @Override
    default int width() {
        return in().width();
    }

    @Override
    default int height() {
        return in().height();
    }
}
