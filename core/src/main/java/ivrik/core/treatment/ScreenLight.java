package ivrik.core.treatment;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;

import ivrik.core.colour.TransferTable;
import ivrik.core.filter.PatternTile;
import ivrik.core.filter.ScanlineBeam;
import ivrik.core.filter.Warp;
import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Size;

import java.util.Arrays;
import java.util.Optional;

/**
 * Applies mask and beam to each value. The available strength depends only on the value's light and is looked
 * up; the compensation follows from the strength.
 */
final class ScreenLight {
    /** Levels are the same for all frames. */
    private static final Cache<Object, ScreenLevels> LEVELS_OF =
            Caffeine.newBuilder().maximumSize(8).build();

    private final Optional<PatternTile> tile;
    private final ScanlineBeam beam;
    private final Optional<Warp> curve;
    private final Size size;
    private final TransferTable in;
    private final TransferTable out;
    private final PatternTile.Places across;
    private final PatternTile.Places down;
    private final ScreenLevels levels;

    /**
     * @param key everything that the levels depend on; empty to compute them again, as for a custom image
     */
    ScreenLight(
            Optional<PatternTile> tile,
            float mask,
            ScanlineBeam beam,
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
        levels =
                key.isPresent()
                        ? LEVELS_OF.get(key.get(), k -> levels(mask, paidBack))
                        : levels(mask, paidBack);
    }

    private ScreenLevels levels(double mask, boolean paidBack) {
        double[][] rows = new double[3][];
        for (int c = 0; c < 3; c++) {
            rows[c] = rowMeans(c);
        }
        return paidBack
                ? ScreenLevels.paidBack(rows, tile.map(PatternTile::most), mask, beam)
                : ScreenLevels.asItIs(mask, beam);
    }

    private double[] rowMeans(int channel) {
        if (tile.isEmpty()) {
            double[] ones = new double[size.height()];
            Arrays.fill(ones, 1);
            return ones;
        }
        return tile.get().rowMeans(channel, across, down);
    }

    ColourRows of(ColourRows picture) {
        return WorkingLight.placed(picture, Lit::new);
    }

    /** Scratch rows of one thread. */
    private final class Lit implements WorkingLight.Placed {
        private final int n = size.width();
        private final PatternTile.Drawer drawer =
                tile.map(t -> t.drawer(size.width())).orElse(null);
        private final Bulged bulged = curve.map(c -> new Bulged(c, n)).orElse(null);

        /** 1 without a mask. */
        private final float[][] mask = new float[3][n];

        private final float[] phase = new float[n];
        private final float[][] parts = new float[ScanlineBeam.PARTS][n];
        private final int[] room = new int[n];
        private final float[] share = new float[n];
        private final float[] narrow = new float[n];
        private final float[] times = new float[n];

        Lit() {
            for (float[] channel : mask) {
                Arrays.fill(channel, 1);
            }
        }

        @Override
        public void row(int y, float[][] rgb) {
            if (bulged == null) {
                Arrays.fill(phase, (float) beam.phase(y + 0.5));
            } else {
                bulged.row(y);
                beam.phases(bulged.y(), phase, n);
            }
            parts();
            draw(y);
            for (int c = 0; c < 3; c++) {
                in.apply(rgb[c], n);
                levels.roomsFor(rgb[c], room);
                ScreenLevels.masks(room, share);
                ScreenLevels.narrows(room, narrow);
                times(levels.payBack()[c]);
                light(rgb[c], mask[c], levels.perMean()[c]);
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

        /** The beam profile at each position, before narrowing. */
        private void parts() {
            float first = (float) beam.strength(1);
            float second = (float) beam.strength(2);
            float third = (float) beam.strength(3);
            for (int x = 0; x < n; x++) {
                float c = phase[x];
                parts[0][x] = first * c;
                parts[1][x] = second * (2 * c * c - 1);
                parts[2][x] = third * c * (4 * c * c - 3);
            }
        }

        /** Factor of the beam at each value, relative to its mean. */
        private void times(float[] payBack) {
            float plain1 = payBack[0];
            float plain2 = payBack[1];
            float plain3 = payBack[2];
            float masked1 = payBack[3];
            float masked2 = payBack[4];
            float masked3 = payBack[5];
            float[] first = parts[0];
            float[] second = parts[1];
            float[] third = parts[2];
            for (int x = 0; x < n; x++) {
                float a = narrow[x];
                float a4 = a * a * (a * a);
                float a9 = a4 * a4 * a;
                float s = share[x];
                float mean =
                        1
                                + a * (plain1 + s * masked1)
                                + a4 * (plain2 + s * masked2)
                                + a9 * (plain3 + s * masked3);
                times[x] = (1 + a * first[x] + a4 * second[x] + a9 * third[x]) / mean;
            }
        }

        private void light(float[] light, float[] mask, float perMean) {
            for (int x = 0; x < n; x++) {
                light[x] *= times[x] * (1 + share[x] * (mask[x] * perMean - 1));
            }
        }
    }

    /**
     * Positions of a row's pixels on curved glass: computed at every few pixels and interpolated.
     */
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

        /** Linear interpolation, written out for speed. */
        private static void between(double[] points, float[] every) {
            int whole = every.length / APART;
            for (int k = 0; k < whole; k++) {
                float at = (float) points[k];
                float step = (float) (points[k + 1] - points[k]) / APART;
                int x = k * APART;
                every[x] = at;
                every[x + 1] = at + step;
                every[x + 2] = at + 2 * step;
                every[x + 3] = at + 3 * step;
                every[x + 4] = at + 4 * step;
                every[x + 5] = at + 5 * step;
                every[x + 6] = at + 6 * step;
                every[x + 7] = at + 7 * step;
            }
            for (int x = whole * APART; x < every.length; x++) {
                float step = (float) (points[whole + 1] - points[whole]) / APART;
                every[x] = (float) points[whole] + (x - whole * APART) * step;
            }
        }

        float[] x() {
            return everyX;
        }

        float[] y() {
            return everyY;
        }
    }
}
