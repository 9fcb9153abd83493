package ivrik.core.filter;

import ivrik.core.picture.Lines;

/**
 * Places of a row, each split into the pixel before it, by its centre, and how far beyond that it lies, 0 to 1. For one
 * thread. There is room for whole vectors, see {@link Lines#room}.
 */
public final class SplitPlaces {
    /** Added to a float below 2^22 and taken away again it leaves the nearest whole number. */
    static final float ROUNDING = 0x1.8p23f;

    final int[] x;
    final int[] y;
    final float[] restX;
    final float[] restY;

    /** How far each place is from its pixel, for {@link #move}. */
    final float[] moveX;

    final float[] moveY;

    /** For up to {@code most} places. */
    SplitPlaces(int most) {
        int room = Lines.room(most);
        x = new int[room];
        y = new int[room];
        restX = new float[room];
        restY = new float[room];
        moveX = new float[room];
        moveY = new float[room];
    }

    /** Places in pixels from the outer edge. */
    void set(double[] placeX, double[] placeY, int n) {
        split(placeX, x, restX, n);
        split(placeY, y, restY, n);
    }

    private static void split(double[] place, int[] whole, float[] rest, int n) {
        for (int i = 0; i < n; i++) {
            double p = place[i] - 0.5;
            double f = Math.floor(p);
            whole[i] = (int) f;
            rest[i] = (float) (p - f);
        }
    }

    /**
     * The pixels of a row, moved by {@link #moveX} and {@link #moveY}: by less than 2^22. In short loops, as Java makes
     * vectors of those.
     */
    void move(int row, int n) {
        floor(moveX, restX, n);
        floor(moveY, restY, n);
        for (int i = 0; i < n; i++) {
            x[i] = (int) (moveX[i] + i);
        }
        for (int i = 0; i < n; i++) {
            y[i] = (int) (moveY[i] + row);
        }
    }

    /** Leaves whole numbers. Of a whole number the one below may be left, and a rest of 1. */
    private static void floor(float[] move, float[] rest, int n) {
        for (int i = 0; i < n; i++) {
            float whole = move[i] - 0.5f + ROUNDING - ROUNDING;
            rest[i] = move[i] - whole;
            move[i] = whole;
        }
    }
}
