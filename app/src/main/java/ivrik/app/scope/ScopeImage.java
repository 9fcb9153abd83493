package ivrik.app.scope;

import ivrik.core.measure.Scope;
import ivrik.core.measure.Scope.Channel;

import java.util.List;

/** The image of a scope as a square of pixels, with the untouched picture behind. */
final class ScopeImage {
    static final int SIDE = Scope.CODES;

    private static final List<Channel> COLOURS = List.of(Channel.RED, Channel.GREEN, Channel.BLUE);

    /** Columns per channel of a parade; the rest are gaps. */
    private static final int EACH = 84;

    private static final int GAP = 2;

    /** How fast a point saturates with the number of pixels. */
    private static final double FILL = 90;

    private static final double UNTOUCHED = 0.32;
    private static final double BARS = 0.62;

    /** Red, green and blue of each pixel, 0..1. */
    private final float[][] light = new float[3][SIDE * SIDE];

    private ScopeImage() {}

    /**
     * Opaque ARGB pixels, row by row from the top.
     *
     * @param untouched null for none
     * @param inks colours of red, green, blue and neutral, as RGB
     */
    static int[] of(ScopeKind kind, Scope picture, Scope untouched, int[] inks) {
        ScopeImage image = new ScopeImage();
        int grey = inks[3];
        switch (kind) {
            case HISTOGRAM -> {
                double most =
                        Math.max(
                                image.most(picture), untouched == null ? 0 : image.most(untouched));
                if (untouched != null) {
                    image.histogram(untouched, Channel.LUMA, grey, UNTOUCHED, most);
                }
                for (int c = 0; c < COLOURS.size(); c++) {
                    image.histogram(picture, COLOURS.get(c), inks[c], BARS, most);
                }
            }
            case WAVEFORM -> {
                if (untouched != null) {
                    image.columns(untouched, Channel.LUMA, 0, SIDE, inks[2], UNTOUCHED);
                }
                image.columns(picture, Channel.LUMA, 0, SIDE, grey, 1);
            }
            case PARADE -> {
                for (int c = 0; c < COLOURS.size(); c++) {
                    int from = c * (EACH + GAP);
                    if (untouched != null) {
                        image.columns(untouched, COLOURS.get(c), from, EACH, grey, UNTOUCHED);
                    }
                    image.columns(picture, COLOURS.get(c), from, EACH, inks[c], 1);
                }
            }
            case VECTORSCOPE -> {
                if (untouched != null) {
                    image.vectors(untouched, inks[2], UNTOUCHED);
                }
                image.vectors(picture, grey, 1);
            }
        }
        return image.packed();
    }

    private double most(Scope scope) {
        double most = 1.0 / scope.count();
        for (Channel channel : COLOURS) {
            int[] counts = scope.histogram(channel);
            for (int code = 1;
                    code < SIDE - 1;
                    code++) { // the end values may hold nearly all pixels
                most = Math.max(most, (double) counts[code] / scope.count());
            }
        }
        return most;
    }

    /**
     * Height by the square root of each share, so that small counts are visible beside large ones.
     */
    private void histogram(Scope scope, Channel channel, int ink, double by, double most) {
        int[] counts = scope.histogram(channel);
        for (int code = 0; code < SIDE; code++) {
            double share = Math.min(1, counts[code] / (most * scope.count()));
            int high = (int) Math.round(Math.sqrt(share) * (SIDE - 1));
            for (int up = 0; up < high; up++) {
                add(code, up, ink, by);
            }
        }
    }

    private void columns(Scope scope, Channel channel, int from, int width, int ink, double by) {
        int[] counts = scope.waveform(channel, width);
        double perPixel = FILL * width / scope.count();
        for (int column = 0; column < width; column++) {
            for (int code = 0; code < SIDE; code++) {
                int count = counts[column * SIDE + code];
                if (count > 0) {
                    add(from + column, code, ink, by * filled(count * perPixel));
                }
            }
        }
    }

    private void vectors(Scope scope, int ink, double by) {
        int[] counts = scope.vectors();
        double perPixel = FILL * SIDE / scope.count();
        for (int cr = 0; cr < SIDE; cr++) {
            for (int cb = 0; cb < SIDE; cb++) {
                int count = counts[cr * SIDE + cb];
                if (count > 0) {
                    add(cb, cr, ink, by * filled(count * perPixel));
                }
            }
        }
    }

    /** Brightness of a point: low for one pixel, saturating for many. */
    private static double filled(double amount) {
        return 0.16 + 0.84 * (1 - Math.exp(-amount));
    }

    private void add(int x, int up, int ink, double by) {
        int i = (SIDE - 1 - up) * SIDE + x;
        for (int c = 0; c < 3; c++) {
            light[c][i] += (float) (by * (ink >> 16 - 8 * c & 255) / 255);
        }
    }

    private int[] packed() {
        int[] words = new int[SIDE * SIDE];
        for (int i = 0; i < words.length; i++) {
            int word = 0;
            int most = 0;
            for (int c = 0; c < 3; c++) {
                int code = Math.round(255 * Math.min(1, light[c][i]));
                word = word << 8 | code;
                most = Math.max(most, code);
            }
            words[i] = most << 24 | word;
        }
        return words;
    }
}
