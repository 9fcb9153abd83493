package ivrik.core.filter;

import ivrik.core.picture.RowArithmetic;

/**
 * Positions of a row, split into the pixel at or before each position (by its centre) and the fraction beyond
 * it, 0 to 1. For one thread. Arrays have room for whole vectors, see
 * {@link ivrik.core.picture.RowArithmetic#room}.
 */
public final class SplitPositions {
    /** Adding and subtracting this rounds a float below 2^22 to the nearest integer. */
    static final float ROUNDING = 0x1.8p23f;

    final int[] x;
    final int[] y;
    final float[] restX;
    final float[] restY;

    /** Displacement of each position from its pixel, for {@link #move}. */
    final float[] moveX;

    final float[] moveY;

    /**
     * @param most maximum number of positions
     */
    SplitPositions(int most) {
        int room = RowArithmetic.room(most);
        x = new int[room];
        y = new int[room];
        restX = new float[room];
        restY = new float[room];
        moveX = new float[room];
        moveY = new float[room];
    }

    /** Sets positions in px from the outer edge. */
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
     * Sets the pixels of a row, displaced by {@link #moveX} and {@link #moveY}, each below 2^22 px. Written
     * as short loops that Java vectorises.
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

    /**
     * Splits values into integer and fraction. An integer may become the integer below with fraction 1.
     */
    private static void floor(float[] move, float[] rest, int n) {
        for (int i = 0; i < n; i++) {
            float whole = move[i] - 0.5f + ROUNDING - ROUNDING;
            rest[i] = move[i] - whole;
            move[i] = whole;
        }
    }
}
