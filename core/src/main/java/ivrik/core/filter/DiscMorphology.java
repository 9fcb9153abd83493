package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.picture.RowArithmetic;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.threads.Cancellation;

import java.util.Arrays;

/** Minimum or maximum over a disc of pixels around each sample. */
final class DiscMorphology implements FilteredRows {
    /** Added to the radius, so that small discs look round. */
    private static final double ROUND = 0.3;

    private final Morphology kind;
    private final Plane in;
    private final int radius;
    private final int[] half;
    private final EdgeFill fill;

    DiscMorphology(Morphology kind, Plane in, int radius, EdgeFill fill) {
        this.kind = kind;
        this.in = in;
        this.radius = radius;
        this.fill = fill;
        this.half = new int[2 * radius + 1];
        double r = radius + ROUND;
        for (int k = -radius; k <= radius; k++) {
            half[k + radius] = (int) Math.sqrt(r * r - k * k);
        }
    }

    @Override
    public Plane in() {
        return in;
    }

    @Override
    public Reader reader() {
        return new Widened();
    }

    /** The rows of the disc, each with sliding extremes over 1, 2, 4, ... samples. */
    private final class Widened implements Reader {
        private final int width = in.width();
        private final int[][][] doubled;
        private final float[] floats = new float[RowArithmetic.room(width + 2 * radius)];
        private final long[] kept = new long[half.length];
        private final int[] sofar = new int[RowArithmetic.room(width)];

        Widened() {
            int levels = 32 - Integer.numberOfLeadingZeros(2 * radius + 1);
            this.doubled = new int[half.length][levels][2 * RowArithmetic.room(width + 2 * radius)];
            Arrays.fill(kept, Long.MIN_VALUE);
        }

        @Override
        public void row(int y, float[] out, int o) {
            Arrays.fill(sofar, Integer.MAX_VALUE);
            for (int k = 0; k < half.length; k++) {
                Cancellation.poll();
                int[][] row = doubled[fetch(y + k - radius)];
                int length = 2 * half[k] + 1;
                int level = 31 - Integer.numberOfLeadingZeros(length);
                int first = radius - half[k];
                OrderedFloats.least(sofar, 0, row[level], first, sofar, width);
                int second = first + length - (1 << level);
                OrderedFloats.least(sofar, 0, row[level], second, sofar, width);
            }
            OrderedFloats.decode(sofar, kind.turn, floats, width);
            System.arraycopy(floats, 0, out, o, width);
        }

        private int fetch(int y) {
            int slot = Math.floorMod(y, kept.length);
            if (kept[slot] != y) {
                kept[slot] = y;
                int[][] row = doubled[slot];
                int n = width + 2 * radius;
                fill.read(in, y, -radius, floats, n);
                OrderedFloats.code(floats, kind.turn, row[0], n);
                for (int level = 1; level < row.length; level++) {
                    int by = 1 << level - 1;
                    OrderedFloats.least(row[level - 1], by, row[level], n);
                }
            }
            return slot;
        }
    }
}
