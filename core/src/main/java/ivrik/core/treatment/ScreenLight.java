package ivrik.core.treatment;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;

import ivrik.core.colour.TransferTable;
import ivrik.core.filter.PatternTile;
import ivrik.core.filter.ScanBeam;
import ivrik.core.filter.Warp;
import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Size;

import java.util.Optional;

/**
 * What a mask and a beam make of each value. How much of either there is room for depends on the value alone,
 * and so does what pays back their light; both are looked up.
 */
final class ScreenLight {
    /** Values that are looked up, from black to white as delivered. */
    private static final int LEVELS = 4096;

    /** The share of the room above a value that the mask may use; the beam has the rest. */
    private static final double FOR_THE_MASK = 0.6;

    /** How abruptly what is wanted gives way to what there is room for. */
    private static final double HARD = 4;

    /**
     * Of each level: how much mask, then the beam over its mean as a polynomial of the third degree in the
     * cosine of the phase; each begins at a multiple of a power of two.
     */
    private static final int NUMBERS = 8;

    /** What is looked up: one over the mean of the mask, and the levels of each channel. */
    private record Levels(float[] perMean, float[][] levels) {}

    /** The same from frame to frame. */
    private static final Cache<Object, Levels> LEVELS_OF =
            Caffeine.newBuilder().maximumSize(8).build();

    private final Optional<PatternTile> tile;
    private final ScanBeam beam;
    private final Optional<Warp> curve;
    private final Size size;
    private final TransferTable in;
    private final TransferTable out;
    private final PatternTile.Places across;
    private final PatternTile.Places down;
    private final float[] perMean = {1, 1, 1};
    private final float[][] levels = new float[3][];

    /**
     * @param key all that it depends on; empty where it is worked out anew, as with a picture of one's own
     */
    ScreenLight(
            Optional<PatternTile> tile,
            float mask,
            ScanBeam beam,
            Optional<Warp> curve,
            boolean paidBack,
            Size size,
            TransferTable in,
            TransferTable out,
            Optional<?> key) {
        this.tile = tile;
        this.beam = beam;
        this.curve = curve;
        this.size = size;
        this.in = in;
        this.out = out;
        across = tile.map(t -> t.across(size.width())).orElse(null);
        down = tile.map(t -> t.down(size.height())).orElse(null);
        Levels found =
                key.isPresent()
                        ? LEVELS_OF.get(key.get(), k -> levels(mask, paidBack))
                        : levels(mask, paidBack);
        System.arraycopy(found.perMean(), 0, perMean, 0, 3);
        System.arraycopy(found.levels(), 0, levels, 0, 3);
    }

    private Levels levels(double mask, boolean paidBack) {
        float[] perMeans = {1, 1, 1};
        double[][] rows = new double[3][];
        double most = 1;
        for (int c = 0; c < 3; c++) {
            rows[c] = rowMeans(c);
            perMeans[c] = paidBack ? (float) (1 / mean(rows[c])) : 1;
            most = Math.max(most, tile.map(PatternTile::most).orElse(1f) * perMeans[c]);
        }
        float[][] made = new float[3][];
        for (int c = 0; c < 3; c++) {
            made[c] = paidBack ? paidBack(rows[c], mask, most) : asItIs(mask);
        }
        return new Levels(perMeans, made);
    }

    private double[] rowMeans(int channel) {
        if (tile.isEmpty()) {
            double[] ones = new double[size.height()];
            java.util.Arrays.fill(ones, 1);
            return ones;
        }
        return tile.get().rowMeans(channel, across, down);
    }

    private static double mean(double[] values) {
        double sum = 0;
        for (double v : values) {
            sum += v;
        }
        return Math.max(1e-3, sum / values.length);
    }

    /** Light is paid back by the mean of mask times beam over the picture, as much as there is room for. */
    private float[] paidBack(double[] rows, double mask, double most) {
        double[] plain = new double[ScanBeam.PARTS];
        double[] masked = new double[ScanBeam.PARTS];
        double mean = mean(rows);
        for (int y = 0; y < rows.length; y++) {
            double phase = beam.phase(y + 0.5);
            for (int k = 1; k <= ScanBeam.PARTS; k++) {
                double part = ScanBeam.times(k, phase) / rows.length;
                plain[k - 1] += part;
                masked[k - 1] += part * rows[y] / mean;
            }
        }
        float[] made = new float[(LEVELS + 1) * NUMBERS];
        for (int i = 0; i <= LEVELS; i++) {
            double room = 1 / Math.max(1e-6, in.at((float) i / LEVELS));
            double forMask = StrictMath.pow(room, FOR_THE_MASK);
            double share = mask * room(forMask - 1, mask * (most - 1));
            double[] parts = beam.parts(room / forMask);
            double sum = 1;
            for (int k = 0; k < parts.length; k++) {
                sum += parts[k] * ((1 - share) * plain[k] + share * masked[k]);
            }
            level(made, i, share, parts, 1 / sum);
        }
        return made;
    }

    /** What of {@code wanted} there is room for, 0..1; it gives way softly. */
    private static double room(double there, double wanted) {
        if (wanted <= 0) {
            return 1;
        }
        double x = Math.max(0, there) / wanted;
        return x / StrictMath.pow(1 + StrictMath.pow(x, HARD), 1 / HARD);
    }

    private float[] asItIs(double mask) {
        double[] parts = beam.parts(Double.POSITIVE_INFINITY);
        double peak = 1;
        for (double part : parts) {
            peak += part;
        }
        float[] made = new float[(LEVELS + 1) * NUMBERS];
        for (int i = 0; i <= LEVELS; i++) {
            level(made, i, mask, parts, 1 / peak);
        }
        return made;
    }

    /** The cosines of multiples of a phase are polynomials of its own cosine. */
    private static void level(float[] made, int i, double share, double[] parts, double by) {
        int at = i * NUMBERS;
        made[at] = (float) share;
        made[at + 1] = (float) (by * (1 - parts[1]));
        made[at + 2] = (float) (by * (parts[0] - 3 * parts[2]));
        made[at + 3] = (float) (by * 2 * parts[1]);
        made[at + 4] = (float) (by * 4 * parts[2]);
    }

    ColourRows of(ColourRows picture) {
        return Light.placed(picture, Lit::new);
    }

    /** The scratch rows of one thread. */
    private final class Lit implements Light.Placed {
        private final int n = size.width();
        private final PatternTile.Drawer drawer =
                tile.map(t -> t.drawer(size.width())).orElse(null);
        private final Bulged bulged = curve.map(c -> new Bulged(c, n)).orElse(null);
        private final float[][] mask = new float[3][n];
        private final float[] phase = new float[n];
        private final float[] times = new float[n];
        private final int[] level = new int[n];

        @Override
        public void row(int y, float[][] rgb) {
            if (bulged == null) {
                java.util.Arrays.fill(phase, (float) beam.phase(y + 0.5));
            } else {
                bulged.row(y);
                beam.phases(bulged.y(), phase, n);
            }
            draw(y);
            for (int c = 0; c < 3; c++) {
                times(rgb[c], levels[c], tile.isEmpty() ? null : mask[c], perMean[c]);
                in.apply(rgb[c], n);
                multiply(rgb[c], times, n);
                out.apply(rgb[c], n);
            }
        }

        private void draw(int y) {
            if (tile.isEmpty()) {
                return;
            }
            if (bulged != null) {
                drawer.at(bulged.x(), bulged.y(), n, mask);
                return;
            }
            for (int c = 0; c < 3; c++) {
                drawer.row(c, y, across, down, mask[c]);
            }
        }

        /** What each value is multiplied by, in light. */
        private void times(float[] values, float[] levels, float[] mask, float perMean) {
            for (int x = 0; x < n; x++) {
                int near = (int) (values[x] * LEVELS + 0.5f);
                level[x] = Math.min(LEVELS, Math.max(0, near)) * NUMBERS;
            }
            for (int x = 0; x < n; x++) {
                int i = level[x];
                float c = phase[x];
                times[x] =
                        levels[i + 1]
                                + c * (levels[i + 2] + c * (levels[i + 3] + c * levels[i + 4]));
            }
            for (int x = 0; mask != null && x < n; x++) {
                times[x] *= 1 + levels[level[x]] * (mask[x] * perMean - 1);
            }
        }
    }

    /** Where the pixels of a row lie on bulged glass: worked out at every few of them, and between in lines. */
    private static final class Bulged {
        private static final int APART = 8;

        private final Warp warp;
        private final double[] x;
        private final double[] y;
        private final float[] everyX;
        private final float[] everyY;

        Bulged(Warp warp, int n) {
            this.warp = warp;
            int points = n / APART + 2;
            x = new double[points];
            y = new double[points];
            everyX = new float[n];
            everyY = new float[n];
        }

        void row(int row) {
            for (int i = 0; i < x.length; i++) {
                x[i] = i * APART + 0.5;
                y[i] = row + 0.5;
            }
            warp.back(x, y, x.length);
            between(x, everyX);
            between(y, everyY);
        }

        private static void between(double[] points, float[] every) {
            for (int from = 0; from < every.length; from += APART) {
                float at = (float) points[from / APART];
                float step = (float) (points[from / APART + 1] - points[from / APART]) / APART;
                int end = Math.min(APART, every.length - from);
                for (int i = 0; i < end; i++) {
                    every[from + i] = at + i * step;
                }
            }
        }

        float[] x() {
            return everyX;
        }

        float[] y() {
            return everyY;
        }
    }

    private static void multiply(float[] values, float[] by, int n) {
        for (int i = 0; i < n; i++) {
            values[i] *= by[i];
        }
    }
}
