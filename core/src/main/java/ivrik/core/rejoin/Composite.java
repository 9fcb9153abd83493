package ivrik.core.rejoin;

import ivrik.core.picture.Alpha;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Pixels;
import ivrik.core.picture.Plane;
import ivrik.core.picture.PlaneArithmetic;
import ivrik.core.picture.Planes;
import ivrik.core.threads.Workers;

import java.util.List;
import java.util.stream.Stream;

/**
 * Composites one picture over another of the same size by the general formula of W3C Compositing and Blending
 * Level 1: Co = cs (1 - ab) + cb (1 - as) + as ab B(Cb, Cs), with the coverage of each channel.
 */
public final class Composite {
    private Composite() {}

    /**
     * {@code over} composited over {@code under} with a blend mode and an opacity of {@code amount}, at least 0.
     * Above 1 the change of the colours is extrapolated; coverage stays within 0..1.
     */
    public static Frame of(Frame under, Frame over, Blend blend, double amount, Workers workers) {
        if (amount == 0) {
            return under;
        }
        if (blend == Blend.NORMAL && amount == 1 && over.isOpaque()) {
            return over;
        }
        if (under.isOpaque() && over.isOpaque()) {
            return new Frame(
                    blended(under.colour(), over.colour(), blend, (float) amount, workers),
                    Alpha.OPAQUE,
                    List.of());
        }
        if (amount > 1) {
            return mix(under, of(under, over, blend, 1, workers), amount, workers);
        }
        return covered(
                under.premultiplied(workers),
                over.premultiplied(workers),
                blend,
                (float) amount,
                workers);
    }

    /**
     * Blends opaque colours: interpolates by {@code amount} from {@code under} to B(under, over).
     */
    static List<Plane> blended(
            List<Plane> under, List<Plane> over, Blend blend, float amount, Workers workers) {
        return Pixels.map(
                Stream.concat(under.stream(), over.stream()).toList(),
                3,
                workers,
                (in, out, n) -> {
                    float[][] b = {in[0], in[1], in[2]};
                    blend.row(b, new float[][] {in[3], in[4], in[5]}, out, n);
                    if (amount != 1) {
                        for (int c = 0; c < 3; c++) {
                            mix(b[c], amount, out[c], n);
                        }
                    }
                });
    }

    /** Interpolates by {@code amount} from {@code from} to {@code to}, into {@code to}. */
    private static void mix(float[] from, float amount, float[] to, int n) {
        for (int i = 0; i < n; i++) {
            to[i] = from[i] + amount * (to[i] - from[i]);
        }
    }

    /** Interpolates colour and coverage by {@code amount}; above 1 extrapolates, with coverage in 0..1. */
    public static Frame mix(Frame from, Frame to, double amount, Workers workers) {
        if (amount == 0 || amount == 1) {
            return amount == 0 ? from : to;
        }
        Frame a = from.premultiplied(workers);
        Frame b = to.premultiplied(workers);
        Alpha alpha = a.isOpaque() && b.isOpaque() ? Alpha.OPAQUE : Alpha.PREMULTIPLIED;
        float t = (float) amount;
        return new Frame(
                Planes.zip(a.colour(), b.colour(), (p, q) -> PlaneArithmetic.mix(p, q, t, workers)),
                alpha,
                alpha == Alpha.OPAQUE
                        ? List.of()
                        : Planes.zip(
                                coverage(a),
                                coverage(b),
                                (p, q) -> PlaneArithmetic.mixCoverage(p, q, t, workers)));
    }

    /** Composited over opaque black. */
    public static Frame overBlack(Frame frame, Workers workers) {
        return frame.isOpaque()
                ? frame
                : new Frame(frame.premultiplied(workers).colour(), Alpha.OPAQUE, List.of());
    }

    /** Both pictures are premultiplied; at least one has coverage. */
    private static Frame covered(
            Frame under, Frame over, Blend blend, float amount, Workers workers) {
        List<Plane> underCover = coverage(under);
        List<Plane> overCover = faded(coverage(over), amount, workers);
        List<Plane> overColour = faded(over.colour(), amount, workers);
        List<Plane> colour =
                blend == Blend.NORMAL
                        ? over(under.colour(), overColour, overCover, workers)
                        : general(
                                under.colour(), underCover, overColour, overCover, blend, workers);
        if (under.isOpaque()) {
            return new Frame(colour, Alpha.OPAQUE, List.of());
        }
        return new Frame(
                colour, Alpha.PREMULTIPLIED, over(underCover, overCover, overCover, workers));
    }

    /** The formula for the normal blend mode: over + (1 - cover) under. */
    private static List<Plane> over(
            List<Plane> under, List<Plane> over, List<Plane> cover, Workers workers) {
        return java.util.stream.IntStream.range(0, 3)
                .mapToObj(
                        c -> PlaneArithmetic.over(over.get(c), cover.get(c), under.get(c), workers))
                .toList();
    }

    private static List<Plane> general(
            List<Plane> under,
            List<Plane> underCover,
            List<Plane> over,
            List<Plane> overCover,
            Blend blend,
            Workers workers) {
        return Pixels.map(
                Stream.of(under, underCover, over, overCover).flatMap(List::stream).toList(),
                3,
                workers,
                (in, out, n) -> {
                    float[][] b = new float[3][n];
                    float[][] s = new float[3][n];
                    for (int c = 0; c < 3; c++) {
                        straight(in[c], in[3 + c], b[c], n);
                        straight(in[6 + c], in[9 + c], s[c], n);
                    }
                    blend.row(b, s, out, n);
                    for (int c = 0; c < 3; c++) {
                        weigh(in[c], in[3 + c], in[6 + c], in[9 + c], out[c], n);
                    }
                });
    }

    private static void straight(float[] colour, float[] cover, float[] out, int n) {
        for (int i = 0; i < n; i++) {
            out[i] = cover[i] == 0 ? 0 : colour[i] / cover[i];
        }
    }

    /** The formula with premultiplied cs and cb, into {@code blended}. */
    private static void weigh(
            float[] cb, float[] ab, float[] cs, float[] as, float[] blended, int n) {
        for (int i = 0; i < n; i++) {
            blended[i] = cs[i] * (1 - ab[i]) + cb[i] * (1 - as[i]) + as[i] * ab[i] * blended[i];
        }
    }

    private static List<Plane> faded(List<Plane> planes, float amount, Workers workers) {
        return amount == 1
                ? planes
                : planes.stream().map(p -> PlaneArithmetic.scale(p, amount, workers)).toList();
    }

    private static List<Plane> coverage(Frame frame) {
        if (!frame.isOpaque()) {
            return frame.coverage();
        }
        Plane full = Plane.flat(frame.width(), frame.height(), 1);
        return List.of(full, full, full);
    }
}
