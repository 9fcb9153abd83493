package ivrik.core.filter;

import ivrik.core.picture.EdgeFill;
import ivrik.core.picture.Lines;
import ivrik.core.picture.Plane;

import java.util.Arrays;

/**
 * The mean of a disc about each sample, as a lens out of focus gives it. Each row of the disc is a
 * window as wide as the disc is on average within that row; its sum is the difference of two running
 * sums, kept in double precision. The cost grows with the radius, not with its square.
 */
public final class Disc implements Filtered {
    private final Plane in;
    private final double[] half;
    private final double area;
    private final int reach;
    private final EdgeFill fill;

    /**
     * @param radius in pixels of the plane, over 0
     */
    public Disc(Plane in, double radius, EdgeFill fill) {
        this.in = in;
        this.fill = fill;
        this.reach = (int) Math.ceil(radius - 0.5);
        this.half = new double[2 * reach + 1];
        double sum = 0;
        for (int k = -reach; k <= reach; k++) {
            double chord = area(k + 0.5, radius) - area(k - 0.5, radius);
            half[k + reach] = chord;
            sum += 2 * chord;
        }
        this.area = sum;
    }

    /** The area under a half circle from its left end to {@code t}, halved. */
    private static double area(double t, double r) {
        double x = Math.clamp(t, -r, r);
        return 0.5 * (x * Math.sqrt(r * r - x * x) + r * r * StrictMath.asin(x / r));
    }

    @Override
    public Plane in() {
        return in;
    }

    @Override
    public Reader reader() {
        return new Summer();
    }

    private final class Summer implements Reader {
        private final int margin = reach + 2;
        private final int width = in.width();
        private final float[][] rows = new float[half.length][Lines.room(width) + 2 * margin];
        private final double[][] sums = new double[half.length][width + 2 * margin + 1];
        private final long[] kept = new long[half.length];
        private final float[] sum = new float[Lines.room(width)];

        Summer() {
            Arrays.fill(kept, Long.MIN_VALUE);
        }

        @Override
        public void row(int y, float[] out, int o) {
            Arrays.fill(sum, 0f);
            for (int k = 0; k < half.length; k++) {
                int slot = fetch(y + k - reach);
                if (half[k] < 0.5) {
                    Lines.add(rows[slot], margin, (float) (2 * half[k] / area), sum, width);
                } else {
                    int m = (int) (half[k] - 0.5);
                    window(sums[slot], margin - m, margin + m + 1, 1 / area);
                    float rest = (float) ((half[k] - 0.5 - m) / area);
                    Lines.add(rows[slot], margin - m - 1, rest, sum, width);
                    Lines.add(rows[slot], margin + m + 1, rest, sum, width);
                }
            }
            System.arraycopy(sum, 0, out, o, width);
        }

        private int fetch(int y) {
            int slot = Math.floorMod(y, rows.length);
            if (kept[slot] != y) {
                kept[slot] = y;
                fill.read(in, y, -margin, rows[slot], width + 2 * margin);
                double running = 0;
                for (int i = 0; i < width + 2 * margin; i++) {
                    running += rows[slot][i];
                    sums[slot][i + 1] = running;
                }
            }
            return slot;
        }

        private void window(double[] running, int from, int to, double weight) {
            for (int i = 0; i < width; i++) {
                sum[i] += (float) ((running[to + i] - running[from + i]) * weight);
            }
        }
    }
}
