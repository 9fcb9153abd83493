package ivrik.core.filter;

import ivrik.core.picture.EdgeFill;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Workers;

import java.util.Arrays;

/** The least or greatest value of a disc of whole pixels about each. */
final class RoundWindow {
    /** Discs a little over their radius look round also when they are small. */
    private static final double ROUND = 0.3;

    private final Running kind;
    private final int radius;
    private final int[] half;

    RoundWindow(Running kind, int radius) {
        this.kind = kind;
        this.radius = radius;
        this.half = new int[2 * radius + 1];
        double r = radius + ROUND;
        for (int k = -radius; k <= radius; k++) {
            half[k + radius] = (int) Math.sqrt(r * r - k * k);
        }
    }

    Plane of(Plane in, EdgeFill fill, Workers workers) {
        Plane out = Plane.of(in.width(), in.height());
        workers.rows(
                in.height(),
                (from, to) -> {
                    Rows rows = new Rows(in, fill);
                    for (int y = from; y < to; y++) {
                        System.arraycopy(rows.extreme(y), 0, out.data(), out.row(y), in.width());
                    }
                });
        return out;
    }

    /** The rows looked at, each with its windows of 1, 2, 4 ... samples. */
    private final class Rows {
        private final Plane in;
        private final EdgeFill fill;
        private final float[][][] doubled;
        private final long[] kept;
        private final float[] shifted;
        private final float[] out;

        Rows(Plane in, EdgeFill fill) {
            this.in = in;
            this.fill = fill;
            int levels = 32 - Integer.numberOfLeadingZeros(2 * radius + 1);
            this.doubled = new float[half.length][levels][in.width() + 2 * radius];
            this.kept = new long[half.length];
            this.shifted = new float[in.width()];
            this.out = new float[in.width()];
            Arrays.fill(kept, Long.MIN_VALUE);
        }

        float[] extreme(int y) {
            for (int k = 0; k < half.length; k++) {
                float[][] row = doubled[fetch(y + k - radius)];
                int length = 2 * half[k] + 1;
                int level = 31 - Integer.numberOfLeadingZeros(length);
                int first = radius - half[k];
                System.arraycopy(row[level], first, shifted, 0, shifted.length);
                if (k == 0) {
                    System.arraycopy(shifted, 0, out, 0, out.length);
                } else {
                    kind.merge(out, shifted, out);
                }
                int second = first + length - (1 << level);
                System.arraycopy(row[level], second, shifted, 0, shifted.length);
                kind.merge(out, shifted, out);
            }
            return out;
        }

        private int fetch(int y) {
            int slot = Math.floorMod(y, kept.length);
            if (kept[slot] != y) {
                kept[slot] = y;
                float[][] row = doubled[slot];
                fill.read(in, y, -radius, row[0], row[0].length);
                for (int level = 1; level < row.length; level++) {
                    int by = 1 << level - 1;
                    float[] next = row[level];
                    System.arraycopy(row[level - 1], by, next, 0, next.length - by);
                    System.arraycopy(row[level - 1], next.length - by, next, next.length - by, by);
                    kind.merge(next, row[level - 1], next);
                }
            }
            return slot;
        }
    }
}
