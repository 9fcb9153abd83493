package ivrik.media.encode;

import ivrik.core.picture.EdgeFill;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;

/** A frame made a little larger by repeating its last column and row. */
final class Evened {
    private Evened() {}

    static Frame to(Frame frame, Size size) {
        return frame.mapPlanes(
                in -> {
                    float[] samples = new float[(int) size.pixels()];
                    float[] row = new float[size.width()];
                    for (int y = 0; y < size.height(); y++) {
                        EdgeFill.REPEAT.read(
                                in.data(),
                                in.row(Math.min(y, in.height() - 1)),
                                in.width(),
                                0,
                                row,
                                row.length);
                        System.arraycopy(row, 0, samples, y * size.width(), row.length);
                    }
                    return Plane.of(size.width(), size.height(), samples);
                });
    }
}
