package ivrik.core.separation;

import ivrik.core.separation.ChannelKind.Role;

import java.util.List;
import java.util.stream.Stream;

/**
 * Cyan, magenta, yellow and black: K = g min(C, M, Y), C' = (C - K) / (1 - K) and so on; the inverse is the
 * product of the four inks on white. For pure black C' = M' = Y' = 0.
 */
public final class Cmyk implements Separation {
    private static final List<ChannelKind> CHANNELS =
            Stream.concat(
                            Cmy.CHANNELS.stream(),
                            Stream.of(
                                    new ChannelKind(
                                            "key", "Key", "K", Role.KEY, Ink.BLACK, Paint.INK)))
                    .toList();

    /** Lower bound of the divisor 1 - K. */
    private static final float LITTLE = 1f / 1024;

    private final float generation;

    /**
     * @param generation black generation, 0..1: share of the common grey that is printed in black
     */
    public Cmyk(double generation) {
        if (!(generation >= 0 && generation <= 1)) {
            throw new IllegalArgumentException(
                    "black generation must be between 0 and 1, not " + generation);
        }
        this.generation = (float) generation;
    }

    /** Parses the black generation after the colon. */
    static Separation of(String argument) {
        return new Cmyk(Double.parseDouble(argument));
    }

    /** Black generation, 0..1. */
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
    public List<ChannelKind> channels() {
        return CHANNELS;
    }

    @Override
    public void separate(float[][] colour, float[][] channels, int n) {
        float[] key = channels[3];
        key(colour[0], colour[1], colour[2], generation, key, n);
        for (int i = 0; i < n; i++) {
            if (Math.abs(1 - key[i]) < LITTLE && !isBlack(colour, i)) {
                key[i] = 1 - LITTLE; // kept below 1 so that the other inks are preserved
            }
        }
        for (int c = 0; c < 3; c++) {
            rest(colour[c], key, channels[c], n);
        }
        for (int i = 0; i < n; i++) {
            if (key[i] == 1) {
                channels[0][i] = channels[1][i] = channels[2][i] = 0;
            }
        }
    }

    private static boolean isBlack(float[][] colour, int i) {
        return colour[0][i] == 0 && colour[1][i] == 0 && colour[2][i] == 0;
    }

    /** K = g min(C, M, Y). */
    private static void key(float[] r, float[] g, float[] b, float generation, float[] k, int n) {
        for (int i = 0; i < n; i++) {
            k[i] = generation * (1 - Math.max(r[i], Math.max(g[i], b[i])));
        }
    }

    /** (C - K) / (1 - K) for C = 1 - R, that is 1 - R / (1 - K); undefined for K = 1. */
    private static void rest(float[] channel, float[] key, float[] out, int n) {
        for (int i = 0; i < n; i++) {
            out[i] = 1 - channel[i] / (1 - key[i]);
        }
    }

    @Override
    public void rejoin(float[][] channels, float[][] colour, int n) {
        for (int c = 0; c < 3; c++) {
            product(channels[c], channels[3], colour[c], n);
        }
    }

    private static void product(float[] ink, float[] key, float[] out, int n) {
        for (int i = 0; i < n; i++) {
            out[i] = (1 - ink[i]) * (1 - key[i]);
        }
    }
}
