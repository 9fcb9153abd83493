package ivrik.core.render;

import ivrik.core.picture.Alpha;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.picture.Workers;

import java.util.List;

/** Where a picture lies in the sequence. */
final class Placement {
    private Placement() {}

    /** The picture in the middle of a larger size, nothing around it. */
    static Frame centred(Frame picture, Size size, Workers workers) {
        int left = (size.width() - picture.width()) / 2;
        int top = (size.height() - picture.height()) / 2;
        Frame in = picture.premultiplied(workers);
        Plane full = in.isOpaque() ? Plane.flat(in.width(), in.height(), 1) : null;
        Frame covered =
                full == null
                        ? in
                        : new Frame(in.colour(), Alpha.PREMULTIPLIED, List.of(full, full, full));
        return covered.mapPlanes(plane -> padded(plane, size, left, top));
    }

    private static Plane padded(Plane in, Size size, int left, int top) {
        Plane out = Plane.of(size.width(), size.height());
        for (int y = 0; y < in.height(); y++) {
            System.arraycopy(in.data(), in.row(y), out.data(), out.row(top + y) + left, in.width());
        }
        return out;
    }
}
