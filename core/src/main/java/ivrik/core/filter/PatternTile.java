package ivrik.core.filter;

/**
 * A tile of three channels that repeats horizontally and vertically. It is low-pass filtered to what the
 * pixels can resolve, so that it does not cause moire.
 */
public final class PatternTile {
    /** Sigma of the pixel aperture, in px. */
    private static final double SEEN_SIGMA = 0.65;

    /** Array step between texels whose channels are interleaved. */
    private static final int STEP = 4;

    /** Radius of that Gaussian, in sigmas. */
    private static final double END = 4;

    private final int columns;
    private final int rows;
    private final double perPixelAcross;
    private final double perPixelDown;
    private final float[][] texels;
    private float[] together;

    private PatternTile(
            int columns, int rows, double perPixelAcross, double perPixelDown, float[][] texels) {
        this.columns = columns;
        this.rows = rows;
        this.perPixelAcross = perPixelAcross;
        this.perPixelDown = perPixelDown;
        this.texels = texels;
    }

    /**
     * A drawn tile, filtered by the pixel aperture.
     *
     * @param rows 1 for a pattern that is constant vertically
     * @param texels one array per channel, row by row
     * @param widthPx width of the tile, in pixels of the picture
     * @param heightPx height of the tile, in pixels of the picture
     */
    public static PatternTile seen(
            int columns, int rows, double widthPx, double heightPx, float[][] texels) {
        double across = columns / widthPx;
        double down = rows / heightPx;
        float[] horizontal = circular(SEEN_SIGMA * across, columns);
        float[] vertical = circular(SEEN_SIGMA * down, rows);
        float[][] blurred = new float[texels.length][];
        for (int c = 0; c < texels.length; c++) {
            float[] turned = turned(convolved(texels[c], columns, horizontal), columns);
            blurred[c] = turned(convolved(turned, rows, vertical), rows);
        }
        return new PatternTile(columns, rows, across, down, blurred);
    }

    /** A tile whose texels are pixels. */
    public static PatternTile ofPixels(int columns, int rows, float[][] texels) {
        return new PatternTile(columns, rows, 1, 1, texels);
    }

    /** A periodic Gaussian of period {@code n} that sums to 1. */
    private static float[] circular(double sigma, int n) {
        double[] weights = new double[n];
        int radius = (int) Math.ceil(END * sigma);
        double sum = 0;
        for (int k = -radius; k <= radius; k++) {
            double w = StrictMath.exp(-0.5 * k * k / (sigma * sigma));
            weights[Math.floorMod(k, n)] += w;
            sum += w;
        }
        float[] normed = new float[n];
        for (int k = 0; k < n; k++) {
            normed[k] = (float) (weights[k] / sum);
        }
        return normed;
    }

    private static float[] convolved(float[] in, int columns, float[] weights) {
        float[] out = new float[in.length];
        for (int row = 0; row < in.length; row += columns) {
            for (int k = 0; k < columns; k++) {
                float w = weights[k];
                for (int x = 0; w != 0 && x < columns; x++) {
                    int from = x - k;
                    out[row + x] += w * in[row + (from < 0 ? from + columns : from)];
                }
            }
        }
        return out;
    }

    /** Transposes the texels. */
    private static float[] turned(float[] in, int columns) {
        int rows = in.length / columns;
        float[] out = new float[in.length];
        for (int y = 0; y < rows; y++) {
            for (int x = 0; x < columns; x++) {
                out[x * rows + y] = in[y * columns + x];
            }
        }
        return out;
    }

    /** Largest value of all channels. */
    public float most() {
        float most = 0;
        for (float[] channel : texels) {
            for (float v : channel) {
                most = Math.max(most, v);
            }
        }
        return most;
    }

    /**
     * Positions along a row or a column of pixels: the texel at or before each, and the fraction beyond it.
     */
    public record Places(int[] texel, float[] share, int count) {
        static Places of(int pixels, double perPixel, int count) {
            int[] texel = new int[pixels];
            float[] share = new float[pixels];
            for (int i = 0; i < pixels; i++) {
                double at = (i + 0.5) * perPixel - 0.5;
                double before = Math.floor(at);
                texel[i] = (int) Math.floorMod((long) before, (long) count);
                share[i] = (float) (at - before);
            }
            return new Places(texel, share, count);
        }

        int next(int i) {
            int after = texel[i] + 1;
            return after == count ? 0 : after;
        }
    }

    public Places across(int width) {
        return Places.of(width, perPixelAcross, columns);
    }

    public Places down(int height) {
        return Places.of(height, perPixelDown, rows);
    }

    /** Mean of each row of pixels, in one channel. */
    public double[] rowMeans(int channel, Places across, Places down) {
        double[] weights = new double[columns];
        int width = across.texel.length;
        for (int x = 0; x < width; x++) {
            weights[across.texel[x]] += (1 - across.share[x]) / width;
            weights[across.next(x)] += across.share[x] / width;
        }
        double[] of = new double[rows];
        for (int y = 0; y < rows; y++) {
            for (int x = 0; x < columns; x++) {
                of[y] += weights[x] * texels[channel][y * columns + x];
            }
        }
        double[] means = new double[down.texel.length];
        for (int y = 0; y < means.length; y++) {
            double share = down.share[y];
            means[y] = (1 - share) * of[down.texel[y]] + share * of[down.next(y)];
        }
        return means;
    }

    /** Samples rows of pixels in all channels. */
    public final class Drawer {
        private final float[] row = new float[columns + 1];
        private final int[] column;
        private final int[] line;
        private final float[] shareAcross;
        private final float[] shareDown;

        private Drawer(int most) {
            column = new int[most];
            line = new int[most];
            shareAcross = new float[most];
            shareDown = new float[most];
        }

        /** Samples one row of pixels of one channel. */
        public void row(int channel, int y, Places across, Places down, float[] out) {
            int first = down.texel[y] * columns;
            int second = down.next(y) * columns;
            float share = down.share[y];
            float[] from = texels[channel];
            for (int x = 0; x < columns; x++) {
                row[x] = from[first + x] + share * (from[second + x] - from[first + x]);
            }
            row[columns] = row[0];
            int[] texel = across.texel;
            float[] on = across.share;
            for (int x = 0; x < texel.length; x++) {
                float v = row[texel[x]];
                out[x] = v + on[x] * (row[texel[x] + 1] - v);
            }
        }

        /** Samples arbitrary positions, in pixels of the picture; one output row per channel. */
        public void at(float[] px, float[] py, int n, float[][] out) {
            float[] from = sideBySide();
            split(px, n, (float) perPixelAcross, columns, STEP, column, shareAcross);
            if (rows == 1) {
                across(from, n, out);
                return;
            }
            split(py, n, (float) perPixelDown, rows, STEP * (columns + 1), line, shareDown);
            float[] red = out[0];
            float[] green = out[1];
            float[] blue = out[2];
            int below = STEP * (columns + 1);
            for (int i = 0; i < n; i++) {
                int k = column[i] + line[i];
                int m = k + below;
                float a = shareAcross[i];
                float b = shareDown[i];
                red[i] = between(from[k], from[k + STEP], from[m], from[m + STEP], a, b);
                green[i] =
                        between(
                                from[k + 1],
                                from[k + 1 + STEP],
                                from[m + 1],
                                from[m + 1 + STEP],
                                a,
                                b);
                blue[i] =
                        between(
                                from[k + 2],
                                from[k + 2 + STEP],
                                from[m + 2],
                                from[m + 2 + STEP],
                                a,
                                b);
            }
        }

        /** Samples a pattern whose rows are equal. */
        private void across(float[] from, int n, float[][] out) {
            float[] red = out[0];
            float[] green = out[1];
            float[] blue = out[2];
            for (int i = 0; i < n; i++) {
                int k = column[i];
                float a = shareAcross[i];
                red[i] = from[k] + a * (from[k + STEP] - from[k]);
                green[i] = from[k + 1] + a * (from[k + 1 + STEP] - from[k + 1]);
                blue[i] = from[k + 2] + a * (from[k + 2 + STEP] - from[k + 2]);
            }
        }

        /**
         * Splits positions into texel index, multiplied by {@code times}, and fraction. Written as short
         * loops that Java vectorises.
         */
        private static void split(
                float[] px,
                int n,
                float perPixel,
                int count,
                int times,
                int[] texel,
                float[] share) {
            float perTile = 1f / count;
            for (int i = 0; i < n; i++) {
                float at = px[i] * perPixel - 0.5f;
                float tile =
                        at * perTile - 0.5f + SplitPositions.ROUNDING - SplitPositions.ROUNDING;
                share[i] = at - count * tile;
            }
            for (int i = 0; i < n; i++) {
                texel[i] = (int) share[i];
            }
            for (int i = 0; i < n; i++) {
                texel[i] = Math.min(count - 1, Math.max(0, texel[i]));
            }
            for (int i = 0; i < n; i++) {
                share[i] -= texel[i];
            }
            for (int i = 0; i < n; i++) {
                texel[i] *= times;
            }
        }

        private static float between(
                float above, float aboveNext, float below, float belowNext, float a, float b) {
            float upper = above + a * (aboveNext - above);
            float lower = below + a * (belowNext - below);
            return upper + b * (lower - upper);
        }
    }

    /** Texels with interleaved channels; the first column and row are repeated at the end. */
    private synchronized float[] sideBySide() {
        if (together == null) {
            float[] made = new float[STEP * (columns + 1) * (rows + 1)];
            for (int y = 0; y <= rows; y++) {
                for (int x = 0; x <= columns; x++) {
                    for (int c = 0; c < texels.length; c++) {
                        made[STEP * (y * (columns + 1) + x) + c] =
                                texels[c][y % rows * columns + x % columns];
                    }
                }
            }
            together = made;
        }
        return together;
    }

    /**
     * One sampler per thread.
     *
     * @param most maximum number of positions per call
     */
    public Drawer drawer(int most) {
        return new Drawer(most);
    }
}
