package ivrik.core.treatment;

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
    private static final int LEVELS = 512;

    /** The share of the room above a value that the mask may use; the beam has the rest. */
    private static final double FOR_THE_MASK = 0.6;

    /** How abruptly what is wanted gives way to what there is room for. */
    private static final double HARD = 4;

    /** Of each level: how much mask, then 1 and the parts of the beam over their mean. */
    private static final int NUMBERS = 2 + ScanBeam.PARTS;

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

    ScreenLight(
            Optional<PatternTile> tile,
            float mask,
            ScanBeam beam,
            Optional<Warp> curve,
            boolean paidBack,
            Size size,
            TransferTable in,
            TransferTable out) {
        this.tile = tile;
        this.beam = beam;
        this.curve = curve;
        this.size = size;
        this.in = in;
        this.out = out;
        across = tile.map(t -> t.across(size.width())).orElse(null);
        down = tile.map(t -> t.down(size.height())).orElse(null);
        double[][] rows = new double[3][];
        double most = 1;
        for (int c = 0; c < 3; c++) {
            rows[c] = rowMeans(c);
            double mean = mean(rows[c]);
            perMean[c] = paidBack ? (float) (1 / mean) : 1;
            most = Math.max(most, tile.map(PatternTile::most).orElse(1f) * perMean[c]);
        }
        for (int c = 0; c < 3; c++) {
            levels[c] = paidBack ? paidBack(rows[c], mask, most) : asItIs(mask);
        }
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

    private static void level(float[] made, int i, double share, double[] parts, double by) {
        made[i * NUMBERS] = (float) share;
        made[i * NUMBERS + 1] = (float) by;
        for (int k = 0; k < parts.length; k++) {
            made[i * NUMBERS + 2 + k] = (float) (parts[k] * by);
        }
    }

    ColourRows of(ColourRows picture) {
        return Light.placed(picture, Lit::new);
    }

    /** The scratch rows of one thread. */
    private final class Lit implements Light.Placed {
        private final int n = size.width();
        private final PatternTile.Drawer drawer = tile.map(PatternTile::drawer).orElse(null);
        private final double[] px = new double[n];
        private final double[] py = new double[n];
        private final float[] mask = new float[n];
        private final float[] phase = new float[n];
        private final float[] times = new float[n];

        @Override
        public void row(int y, float[][] rgb) {
            places(y);
            for (int c = 0; c < 3; c++) {
                if (tile.isPresent()) {
                    draw(c, y);
                }
                times(rgb[c], levels[c], perMean[c]);
                in.apply(rgb[c], n);
                multiply(rgb[c], times, n);
                out.apply(rgb[c], n);
            }
        }

        /** Where each pixel lies on the screen, and between its lines. */
        private void places(int y) {
            if (curve.isEmpty()) {
                java.util.Arrays.fill(phase, (float) beam.phase(y + 0.5));
                return;
            }
            for (int x = 0; x < n; x++) {
                px[x] = x + 0.5;
                py[x] = y + 0.5;
            }
            curve.get().back(px, py, n);
            for (int x = 0; x < n; x++) {
                phase[x] = (float) beam.phase(py[x]);
            }
        }

        private void draw(int channel, int y) {
            if (curve.isEmpty()) {
                drawer.row(channel, y, across, down, mask);
            } else {
                drawer.at(channel, px, py, n, mask);
            }
        }

        /** What each value is multiplied by, in light. */
        private void times(float[] values, float[] level, float perMean) {
            for (int x = 0; x < n; x++) {
                float at = Math.clamp(values[x], 0f, 1f) * LEVELS;
                int before = Math.min(LEVELS - 1, (int) at);
                float on = at - before;
                int i = before * NUMBERS;
                int j = i + NUMBERS;
                float share = level[i] + on * (level[j] - level[i]);
                float masked = tile.isEmpty() ? 1 : 1 + share * (mask[x] * perMean - 1);
                float c = phase[x];
                float even = level[i + 1] + on * (level[j + 1] - level[i + 1]);
                float first = level[i + 2] + on * (level[j + 2] - level[i + 2]);
                float second = level[i + 3] + on * (level[j + 3] - level[i + 3]);
                float third = level[i + 4] + on * (level[j + 4] - level[i + 4]);
                times[x] =
                        masked
                                * (even
                                        + c * (first + c * (2 * second + 4 * third * c) - 3 * third)
                                        - second);
            }
        }
    }

    private static void multiply(float[] values, float[] by, int n) {
        for (int i = 0; i < n; i++) {
            values[i] *= by[i];
        }
    }
}
