package ivrik.core.measure;

import ivrik.core.colour.Luma;
import ivrik.core.picture.Region;
import ivrik.core.picture.Size;

/**
 * Plain counts of the 8-bit pixels in a part of a picture, as instruments show them: how many there are of each
 * code, of each code in each column, and of each pair of colour differences.
 */
public final class Scope {
    /** Codes of a channel. */
    public static final int CODES = 256;

    /** The code of a colour difference of none. */
    public static final int NO_COLOUR = 128;

    /** What Cb and Cr of ITU-R BT.709 divide by. */
    private static final double CB = 2 * (1 - Luma.BLUE);

    private static final double CR = 2 * (1 - Luma.RED);

    private final int[] pixels;
    private final int width;
    private final Region part;

    /**
     * @param argb words, row by row
     * @param part which lies within {@code size}
     */
    public Scope(int[] argb, Size size, Region part) {
        this.pixels = argb;
        this.width = size.width();
        this.part = part.within(size);
    }

    /** What of a pixel is counted. */
    public enum Channel {
        RED,
        GREEN,
        BLUE,
        /** By the weights of ITU-R BT.709, rounded. */
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

    /** Told of each pixel and of its column, from 0. */
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

    /** How many pixels there are in all. */
    public int count() {
        return part.width() * part.height();
    }

    /** How many pixels have each code. */
    public int[] histogram(Channel channel) {
        int[] counts = new int[CODES];
        each((argb, column) -> counts[channel.code(argb)]++);
        return counts;
    }

    /**
     * How many pixels have each code in each of so many columns of equal width: all codes of the first column,
     * then those of the next.
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

    /** How many pixels have each pair of codes of Cb and Cr: all Cb of the lowest Cr, then of the next. */
    public int[] vectors() {
        int[] counts = new int[CODES * CODES];
        each((argb, column) -> counts[cr(argb) * CODES + cb(argb)]++);
        return counts;
    }

    /** Cb of BT.709 as a code about {@link #NO_COLOUR}. */
    public static int cb(int argb) {
        return difference((blue(argb) - luma(argb)) / CB);
    }

    /** Cr, likewise. */
    public static int cr(int argb) {
        return difference((red(argb) - luma(argb)) / CR);
    }

    private static int difference(double difference) {
        return Math.clamp(Math.round(NO_COLOUR + difference), 0, CODES - 1);
    }
}
