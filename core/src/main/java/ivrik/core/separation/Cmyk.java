package ivrik.core.separation;

import ivrik.core.picture.Pixels;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Workers;
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
    public List<Plane> separate(List<Plane> colour, Workers workers) {
        return Pixels.map(
                colour,
                4,
                workers,
                (in, out, n) -> {
                    key(in[0], in[1], in[2], generation, out[3], n);
                    for (int c = 0; c < 3; c++) {
                        rest(in[c], out[3], out[c], n);
                    }
                });
    }

    /** K; kept a little off 1 unless all three are black exactly, so that nothing is lost. */
    private static void key(float[] r, float[] g, float[] b, float generation, float[] k, int n) {
        for (int i = 0; i < n; i++) {
            float lightest = Math.max(r[i], Math.max(g[i], b[i]));
            float key = generation * (1 - lightest);
            boolean black = r[i] == 0 && g[i] == 0 && b[i] == 0;
            k[i] = !black && Math.abs(1 - key) < LITTLE ? 1 - LITTLE : key;
        }
    }

    /** (C - K) / (1 - K) of C = 1 - R, that is 1 - R / (1 - K). */
    private static void rest(float[] channel, float[] key, float[] out, int n) {
        for (int i = 0; i < n; i++) {
            float paper = 1 - key[i];
            out[i] = paper == 0 ? 0 : 1 - channel[i] / paper;
        }
    }

    @Override
    public List<Plane> rejoin(List<Plane> lanes, Workers workers) {
        return Pixels.map(
                lanes,
                3,
                workers,
                (in, out, n) -> {
                    for (int c = 0; c < 3; c++) {
                        product(in[c], in[3], out[c], n);
                    }
                });
    }

    private static void product(float[] ink, float[] key, float[] out, int n) {
        for (int i = 0; i < n; i++) {
            out[i] = (1 - ink[i]) * (1 - key[i]);
        }
    }
}
