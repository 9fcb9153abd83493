package ivrik.core.filter;

import ivrik.core.picture.EdgeFill;
import ivrik.core.picture.Kernels;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Workers;

/**
 * Sums, least and greatest values of a window that runs along rows or columns, at a cost that (all but)
 * does not grow with its width. Down the columns by the blocks of van Herk 1992 and Gil and Werman
 * 1993, which need three operations per sample and, for sums, subtract nothing that could drift; along
 * rows by doubling the window, which vectorises.
 *
 * <p>A window may end between samples: it is the mean of the two next whole windows, each by its share.
 */
public enum Running {
    MEAN {
        @Override
        void merge(float[] a, float[] b, float[] out) {
            for (int i = 0; i < out.length; i++) {
                out[i] = a[i] + b[i];
            }
        }

        @Override
        void finish(float[] whole, float[] first, float[] last, double width, float[] out) {
            float f = (float) fraction(width);
            float w = (float) (1 / width);
            for (int i = 0; i < out.length; i++) {
                out[i] = (whole[i] + f * (first[i] + last[i])) * w;
            }
        }
    },
    LEAST {
        @Override
        void merge(float[] a, float[] b, float[] out) {
            for (int i = 0; i < out.length; i++) {
                out[i] = Math.min(a[i], b[i]);
            }
        }

        @Override
        void finish(float[] whole, float[] first, float[] last, double width, float[] out) {
            float f = (float) fraction(width);
            for (int i = 0; i < out.length; i++) {
                float wider = Math.min(whole[i], Math.min(first[i], last[i]));
                out[i] = whole[i] + f * (wider - whole[i]);
            }
        }
    },
    GREATEST {
        @Override
        void merge(float[] a, float[] b, float[] out) {
            for (int i = 0; i < out.length; i++) {
                out[i] = Math.max(a[i], b[i]);
            }
        }

        @Override
        void finish(float[] whole, float[] first, float[] last, double width, float[] out) {
            float f = (float) fraction(width);
            for (int i = 0; i < out.length; i++) {
                float wider = Math.max(whole[i], Math.max(first[i], last[i]));
                out[i] = whole[i] + f * (wider - whole[i]);
            }
        }
    };

    private static final int STRIP = 256;

    /** The operation on two windows beside each other. */
    abstract void merge(float[] a, float[] b, float[] out);

    /** The result from the whole window and the samples just before and after it. */
    abstract void finish(float[] whole, float[] first, float[] last, double width, float[] out);

    /** Samples on either side of the middle one that are in the window as a whole. */
    private static int reach(double width) {
        return (int) Math.floor((width - 1) / 2);
    }

    private static double fraction(double width) {
        return (width - 1) / 2 - reach(width);
    }

    /**
     * Over a rectangle about each sample.
     *
     * @param across the window's width, at least 1
     * @param down its height
     */
    public Plane of(Plane in, double across, double down, EdgeFill fill, Workers workers) {
        Plane rows = across == 1 ? in : across(in, across, fill, workers);
        return down == 1 ? rows : down(rows, down, fill, workers);
    }

    /**
     * Over a disc about each sample, for least and greatest: in each of its rows a window made of two
     * that are a power of two long. Between whole radii it is between their results.
     *
     * @param radius in pixels of the plane
     */
    public Plane round(Plane in, double radius, EdgeFill fill, Workers workers) {
        int whole = (int) Math.floor(radius);
        float rest = (float) (radius - whole);
        Plane less = whole == 0 ? in : new RoundWindow(this, whole).of(in, fill, workers);
        if (rest == 0) {
            return less;
        }
        Plane more = new RoundWindow(this, whole + 1).of(in, fill, workers);
        return Kernels.mix(less, more, rest, workers);
    }

    private Plane across(Plane in, double window, EdgeFill fill, Workers workers) {
        Plane out = Plane.of(in.width(), in.height());
        workers.rows(
                in.height(),
                (from, to) -> {
                    Row row = new Row(in.width(), window);
                    for (int y = from; y < to; y++) {
                        fill.read(in, y, -row.margin, row.samples, row.samples.length);
                        row.run();
                        System.arraycopy(row.out, 0, out.data(), out.row(y), in.width());
                    }
                });
        return out;
    }

    /** One row with its margin; {@link #run} gives the window about each sample. */
    final class Row {
        final int margin;
        final float[] samples;
        final float[] out;
        private final int length;
        private final double window;
        private final float[] doubled;
        private final float[] shifted;
        private final float[] whole;
        private final float[] first;
        private final float[] last;

        Row(int width, double window) {
            this.window = window;
            this.margin = reach(window) + 1;
            this.length = 2 * margin - 1;
            this.samples = new float[width + 2 * margin];
            this.doubled = new float[samples.length];
            this.shifted = new float[samples.length];
            this.whole = new float[width];
            this.first = new float[width];
            this.last = new float[width];
            this.out = new float[width];
        }

        void run() {
            int width = out.length;
            System.arraycopy(samples, 0, doubled, 0, samples.length);
            int covered = 0;
            boolean begun = false;
            for (int power = 1; power <= length; power *= 2) {
                if (isIn(power)) {
                    int at = Running.this == MEAN ? covered : power == top() ? length - power : 0;
                    System.arraycopy(doubled, 1 + at, first, 0, width);
                    if (begun) {
                        merge(whole, first, whole);
                    } else {
                        System.arraycopy(first, 0, whole, 0, width);
                        begun = true;
                    }
                    covered += power;
                    if (Running.this != MEAN) {
                        System.arraycopy(doubled, 1, first, 0, width);
                        merge(whole, first, whole);
                    }
                }
                if (power * 2 <= length) {
                    System.arraycopy(doubled, power, shifted, 0, doubled.length - power);
                    merge(doubled, shifted, doubled);
                }
            }
            System.arraycopy(samples, 0, first, 0, width);
            System.arraycopy(samples, 2 * margin, last, 0, width);
            finish(whole, first, last, window, out);
        }

        /** For a sum every power of two in the length; for an extreme the largest, laid twice. */
        private boolean isIn(int power) {
            return Running.this == MEAN ? (length & power) != 0 : power == top();
        }

        private int top() {
            return Integer.highestOneBit(length);
        }
    }

    private Plane down(Plane in, double window, EdgeFill fill, Workers workers) {
        Plane out = Plane.of(in.width(), in.height());
        int strips = (in.width() + STRIP - 1) / STRIP;
        workers.parts(
                strips,
                strip -> {
                    int x = strip * STRIP;
                    new Strip(in, x, Math.min(STRIP, in.width() - x), fill, window).run(out);
                });
        return out;
    }

    /** Some columns, worked on from the top down. */
    private final class Strip {
        private final Plane in;
        private final int x;
        private final int width;
        private final EdgeFill fill;
        private final double window;
        private final int reach;
        private final int length;
        private final float[][] after;
        private final float[] before;
        private final float[] whole;
        private final float[] first;
        private final float[] last;
        private final float[] result;

        Strip(Plane in, int x, int width, EdgeFill fill, double window) {
            this.in = in;
            this.x = x;
            this.width = width;
            this.fill = fill;
            this.window = window;
            this.reach = reach(window);
            this.length = 2 * reach + 1;
            this.after = new float[length][width];
            this.before = new float[width];
            this.whole = new float[width];
            this.first = new float[width];
            this.last = new float[width];
            this.result = new float[width];
        }

        /** Row {@code n} of those that the windows are made of; the first window begins with row 0. */
        private void read(int n, float[] to) {
            fill.read(in, n - reach, x, to, width);
        }

        void run(Plane out) {
            boolean between = fraction(window) != 0;
            for (int block = 0; block < in.height(); block += length) {
                read(block + length - 1, after[length - 1]);
                for (int k = length - 2; k >= 0; k--) {
                    read(block + k, first);
                    merge(first, after[k + 1], after[k]);
                }
                int end = Math.min(length, in.height() - block);
                for (int k = 0; k < end; k++) {
                    float[] all = after[0];
                    if (k > 0) {
                        read(block + length + k - 1, first);
                        if (k == 1) {
                            System.arraycopy(first, 0, before, 0, width);
                        } else {
                            merge(before, first, before);
                        }
                        merge(after[k], before, whole);
                        all = whole;
                    }
                    if (between) {
                        read(block + k - 1, first);
                        read(block + k + length, last);
                    }
                    finish(all, between ? first : all, between ? last : all, window, result);
                    System.arraycopy(result, 0, out.data(), out.row(block + k) + x, width);
                }
            }
        }
    }
}
