package ivrik.media.encode;

import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Region;
import ivrik.core.picture.Size;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Resample;
import ivrik.core.threads.Workers;

/** Treatment of odd sizes if the format needs even ones. */
public enum OddSizes {
    /** Repeats the last column or row. */
    PAD("Repeat last row/column") {
        @Override
        Size size(Size size, int step) {
            return new Size(
                    (size.width() + step - 1) / step * step,
                    (size.height() + step - 1) / step * step);
        }

        @Override
        Frame to(Frame frame, Size size, Workers workers) {
            return frame.mapPlanes(in -> repeated(in, size));
        }
    },
    /** Drops the last column or row. */
    CROP("Crop last row/column") {
        @Override
        Frame to(Frame frame, Size size, Workers workers) {
            return frame.crop(Region.all(size));
        }
    },
    /** Scales the picture down slightly. */
    SCALE("Scale down slightly") {
        @Override
        Frame to(Frame frame, Size size, Workers workers) {
            return Resample.to(frame, size, workers);
        }
    };

    private final String title;

    OddSizes(String title) {
        this.title = title;
    }

    /** Description in lower case. */
    public String title() {
        return title;
    }

    /** The name on the command line. */
    @Override
    public String toString() {
        return name().toLowerCase(java.util.Locale.ROOT);
    }

    /** The written size of a picture. */
    Size size(Size size, int step) {
        return new Size(
                Math.max(step, size.width() / step * step),
                Math.max(step, size.height() / step * step));
    }

    abstract Frame to(Frame frame, Size size, Workers workers);

    private static Plane repeated(Plane in, Size size) {
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
    }
}
