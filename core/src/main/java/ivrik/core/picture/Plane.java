package ivrik.core.picture;

import java.util.Arrays;

/**
 * One channel of a picture: {@code width} x {@code height} 32-bit float samples in one array, row by row,
 * with {@code stride} samples between rows and the first sample at index {@code offset}. Values are
 * unclamped; 0..1 is the range from black to white. Pixel centres are at half-integers.
 * <p>A published plane is never written to again. Planes can therefore be shared and cropped without copying.
 */
public record Plane(int width, int height, int stride, int offset, float[] data) {
    public Plane {
        if (width < 1 || height < 1) {
            throw new IllegalArgumentException(
                    "a plane has at least one pixel, not " + width + "x" + height);
        }
        if (stride < width
                || offset < 0
                || (long) offset + (long) (height - 1) * stride + width > data.length) {
            throw new IllegalArgumentException(
                    "a plane of " + width + "x" + height + " does not fit its array");
        }
    }

    /** A plane of zeros. */
    public static Plane of(int width, int height) {
        return new Plane(width, height, width, 0, new float[Math.multiplyExact(width, height)]);
    }

    /** A plane over the given samples, row by row. The array is not copied. */
    public static Plane of(int width, int height, float... samples) {
        return new Plane(width, height, width, 0, samples);
    }

    /** A plane of one value. */
    public static Plane flat(int width, int height, float value) {
        Plane plane = of(width, height);
        if (value != 0) {
            Arrays.fill(plane.data, value);
        }
        return plane;
    }

    /** Index in {@link #data} of the first sample of row {@code y}. */
    public int row(int y) {
        return offset + y * stride;
    }

    public float at(int x, int y) {
        return data[row(y) + x];
    }

    public Size size() {
        return new Size(width, height);
    }

    /** A view of a region that shares the samples. */
    public Plane crop(Region region) {
        return new Plane(
                region.width(), region.height(), stride, row(region.y()) + region.x(), data);
    }

    /** Whether every sample has this value. */
    public boolean isFlat(float value) {
        for (int y = 0; y < height; y++) {
            for (int i = row(y); i < row(y) + width; i++) {
                if (data[i] != value) {
                    return false;
                }
            }
        }
        return true;
    }

    /** Whether both planes have the same size and the same bits. */
    public boolean sameSamples(Plane other) {
        if (this == other) {
            return true;
        }
        if (width != other.width || height != other.height) {
            return false;
        }
        for (int y = 0; y < height; y++) {
            if (!Arrays.equals(
                    data, row(y), row(y) + width, other.data, other.row(y), other.row(y) + width)) {
                return false;
            }
        }
        return true;
    }

    @Override
    public String toString() {
        return "Plane " + width + "x" + height;
    }
}
