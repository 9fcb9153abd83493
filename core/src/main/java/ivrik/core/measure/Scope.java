package ivrik.core.measure;

import ivrik.core.colour.Luma;
import ivrik.core.picture.Region;
import ivrik.core.picture.Size;

/**
 * Counts of 8-bit pixels in a region of a picture, for scopes: histogram, waveform and vectorscope.
 */
public final class Scope {
    /** Number of code values of a channel. */
    public static final int CODES = 256;

    /** Code value of zero colour difference. */
    public static final int NO_COLOUR = 128;

    /** Divisor of Cb in ITU-R BT.709. */
    private static final double CB = 2 * (1 - Luma.BLUE);

    private static final double CR = 2 * (1 - Luma.RED);

    private final int[] pixels;
    private final int width;
    private final Region part;

    /**
     * @param argb pixels, row by row
     * @param part region within {@code size}
     */
    public Scope(int[] argb, Size size, Region part) {
        this.pixels = argb;
        this.width = size.width();
        this.part = part.within(size);
    }

    /** What is counted of a pixel. */
    public enum Channel {
        RED,
        GREEN,
        BLUE,
        /** Luma with the weights of ITU-R BT.709, rounded. */
        LUMA;

        int code(int argb) {
            return switch (this) {
                case RED -> red(argb);
                case GREEN -> green(argb);
                case BLUE -> blue(argb);
                case LUMA -> (int) (luma(argb) + 0.5);
            };
        }
    }

    private static int red(int argb) {
        return argb >> 16 & 255;
    }

    private static int green(int argb) {
        return argb >> 8 & 255;
    }

    private static int blue(int argb) {
        return argb & 255;
    }

    private static double luma(int argb) {
        return Luma.RED * red(argb) + Luma.GREEN * green(argb) + Luma.BLUE * blue(argb);
    }

    /** Receives each pixel and its column, from 0. */
    @FunctionalInterface
    private interface Each {
        void pixel(int argb, int column);
    }

    private void each(Each each) {
        for (int y = part.y(); y < part.y() + part.height(); y++) {
            int row = y * width + part.x();
            for (int x = 0; x < part.width(); x++) {
                each.pixel(pixels[row + x], x);
            }
        }
    }

    /** Number of pixels. */
    public int count() {
        return part.width() * part.height();
    }

    /** Number of pixels per code value. */
    public int[] histogram(Channel channel) {
        int[] counts = new int[CODES];
        each((argb, column) -> counts[channel.code(argb)]++);
        return counts;
    }

    /**
     * Number of pixels per code value in columns of equal width: all code values of the first column, then
     * those of the next.
     */
    public int[] waveform(Channel channel, int columns) {
        int[] counts = new int[columns * CODES];
        int across = part.width();
        each(
                (argb, column) -> {
                    int at = (int) ((long) column * columns / across);
                    counts[at * CODES + channel.code(argb)]++;
                });
        return counts;
    }

    /**
     * Number of pixels per pair of Cb and Cr code values: all Cb of the lowest Cr, then of the next.
     */
    public int[] vectors() {
        int[] counts = new int[CODES * CODES];
        each((argb, column) -> counts[cr(argb) * CODES + cb(argb)]++);
        return counts;
    }

    /** Cb of BT.709 as a code value around {@link #NO_COLOUR}. */
    public static int cb(int argb) {
        return difference((blue(argb) - luma(argb)) / CB);
    }

    /** Cr of BT.709 as a code value around {@link #NO_COLOUR}. */
    public static int cr(int argb) {
        return difference((red(argb) - luma(argb)) / CR);
    }

    private static int difference(double difference) {
        return Math.clamp(Math.round(NO_COLOUR + difference), 0, CODES - 1);
    }
}
