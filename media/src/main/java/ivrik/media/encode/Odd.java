package ivrik.media.encode;

import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Region;
import ivrik.core.picture.Size;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Resample;
import ivrik.core.threads.Workers;

/** What is done where a form has no odd sizes. */
public enum Odd {
    /** The last column or row stands twice. */
    PAD("the last column or row stands twice") {
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
    /** The last column or row is left out. */
    CROP("the last column or row is left out") {
        @Override
        Frame to(Frame frame, Size size, Workers workers) {
            return frame.crop(Region.all(size));
        }
    },
    /** The picture is made a little smaller. */
    SCALE("the picture is made a little smaller") {
        @Override
        Frame to(Frame frame, Size size, Workers workers) {
            return Resample.to(frame, size, workers);
        }
    };

    private final String word;

    Odd(String word) {
        this.word = word;
    }

    /** In plain words, as part of a sentence. */
    public String word() {
        return word;
    }

    /** The size that a picture of a size leaves with. */
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
