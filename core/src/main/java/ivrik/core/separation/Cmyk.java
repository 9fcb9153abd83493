package ivrik.core.separation;

import ivrik.core.separation.LaneKind.Role;

import java.util.List;
import java.util.stream.Stream;

/**
 * Cyan, magenta, yellow, and a key of black that takes over the part they have in common: K = g
 * min(C, M, Y), C' = (C - K) / (1 - K) and so on; back as the product of the four inks on white.
 * Where all is black C' = M' = Y' = 0.
 */
public final class Cmyk implements Separation {
    private static final List<LaneKind> LANES =
            Stream.concat(
                            Cmy.LANES.stream(),
                            Stream.of(
                                    new LaneKind(
                                            "key", "Key", "K", Role.KEY, Ink.BLACK, Paint.INK)))
                    .toList();

    /** Under this much paper left by the key, the other inks are divided by no less. */
    private static final float LITTLE = 1f / 1024;

    private final float generation;

    /**
     * @param generation of black, 0..1: which part of the common grey is printed in black
     */
    public Cmyk(double generation) {
        if (!(generation >= 0 && generation <= 1)) {
            throw new IllegalArgumentException(
                    "the black generation lies between 0 and 1, not at " + generation);
        }
        this.generation = (float) generation;
    }

    /** From the text after the colon: the black generation. */
    static Separation of(String argument) {
        return new Cmyk(Double.parseDouble(argument));
    }

    /** The black generation, 0..1. */
    public double generation() {
        return generation;
    }

    @Override
    public String id() {
        return generation == 1 ? "cmyk" : "cmyk:" + generation;
    }

    @Override
    public String title() {
        return "CMYK";
    }

    @Override
    public List<LaneKind> lanes() {
        return LANES;
    }

    @Override
    public void separate(float[][] colour, float[][] lanes, int n) {
        float[] key = lanes[3];
        key(colour[0], colour[1], colour[2], generation, key, n);
        for (int i = 0; i < n; i++) {
            if (Math.abs(1 - key[i]) < LITTLE && !isBlack(colour, i)) {
                key[i] = 1 - LITTLE; // kept a little off 1, so that nothing is lost
            }
        }
        for (int c = 0; c < 3; c++) {
            rest(colour[c], key, lanes[c], n);
        }
        for (int i = 0; i < n; i++) {
            if (key[i] == 1) {
                lanes[0][i] = lanes[1][i] = lanes[2][i] = 0;
            }
        }
    }

    private static boolean isBlack(float[][] colour, int i) {
        return colour[0][i] == 0 && colour[1][i] == 0 && colour[2][i] == 0;
    }

    /** g min(C, M, Y). */
    private static void key(float[] r, float[] g, float[] b, float generation, float[] k, int n) {
        for (int i = 0; i < n; i++) {
            k[i] = generation * (1 - Math.max(r[i], Math.max(g[i], b[i])));
        }
    }

    /** (C - K) / (1 - K) of C = 1 - R, that is 1 - R / (1 - K); no number where K is 1. */
    private static void rest(float[] channel, float[] key, float[] out, int n) {
        for (int i = 0; i < n; i++) {
            out[i] = 1 - channel[i] / (1 - key[i]);
        }
    }

    @Override
    public void rejoin(float[][] lanes, float[][] colour, int n) {
        for (int c = 0; c < 3; c++) {
            product(lanes[c], lanes[3], colour[c], n);
        }
    }

    private static void product(float[] ink, float[] key, float[] out, int n) {
        for (int i = 0; i < n; i++) {
            out[i] = (1 - ink[i]) * (1 - key[i]);
        }
    }
}
