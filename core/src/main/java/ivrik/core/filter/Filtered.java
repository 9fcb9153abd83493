package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;

/** Rows that are made from those of a plane, of the same size. */
public interface Filtered extends Rows {
    /** What they are made from. */
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
