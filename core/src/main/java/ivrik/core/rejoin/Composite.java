package ivrik.core.rejoin;

import ivrik.core.picture.Alpha;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Kernels;
import ivrik.core.picture.Pixels;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Planes;
import ivrik.core.threads.Workers;

import java.util.List;
import java.util.stream.Stream;

/**
 * One picture upon another of the same size by the general formula of W3C Compositing and Blending
 * Level 1: Co = cs (1 - ab) + cb (1 - as) + as ab B(Cb, Cs), with each channel's own coverage.
 */
public final class Composite {
    private Composite() {}

    /** {@code over} upon {@code under} by a blend mode, as much as {@code amount} (0..1) of it. */
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
        return covered(
                under.premultiplied(workers),
                over.premultiplied(workers),
                blend,
                (float) amount,
                workers);
    }

    /** Fully covered colours, {@code amount} of the way from {@code under} to B(under, over). */
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

    /** Into {@code to}: {@code amount} of the way to it from {@code from}. */
    private static void mix(float[] from, float amount, float[] to, int n) {
        for (int i = 0; i < n; i++) {
            to[i] = from[i] + amount * (to[i] - from[i]);
        }
    }

    /**
     * From {@code from} to {@code to} by {@code amount} (0..1), coverage too: how a look meets the
     * untouched picture when it takes its place.
     */
    public static Frame mix(Frame from, Frame to, double amount, Workers workers) {
        if (amount == 0 || amount == 1) {
            return amount == 0 ? from : to;
        }
        Frame a = from.premultiplied(workers);
        Frame b = to.premultiplied(workers);
        Alpha alpha = a.isOpaque() && b.isOpaque() ? Alpha.OPAQUE : Alpha.PREMULTIPLIED;
        float t = (float) amount;
        return new Frame(
                Planes.zip(a.colour(), b.colour(), (p, q) -> Kernels.mix(p, q, t, workers)),
                alpha,
                alpha == Alpha.OPAQUE
                        ? List.of()
                        : Planes.zip(
                                coverage(a), coverage(b), (p, q) -> Kernels.mix(p, q, t, workers)));
    }

    /** Over opaque black: what a picture without alpha shows. */
    public static Frame overBlack(Frame frame, Workers workers) {
        return frame.isOpaque()
                ? frame
                : new Frame(frame.premultiplied(workers).colour(), Alpha.OPAQUE, List.of());
    }

    /** Both premultiplied, at least one of them with coverage. */
    private static Frame covered(
            Frame under, Frame over, Blend blend, float amount, Workers workers) {
        List<Plane> underCover = coverage(under);
        List<Plane> overCover = faded(coverage(over), amount, workers);
        List<Plane> overColour = faded(over.colour(), amount, workers);
        List<Plane> colour =
                blend == Blend.NORMAL
                        ? upon(under.colour(), overColour, overCover, workers)
                        : general(
                                under.colour(), underCover, overColour, overCover, blend, workers);
        if (under.isOpaque()) {
            return new Frame(colour, Alpha.OPAQUE, List.of());
        }
        return new Frame(
                colour, Alpha.PREMULTIPLIED, upon(underCover, overCover, overCover, workers));
    }

    /** over + (1 - cover) under, which is all that the formula leaves of a normal blend. */
    private static List<Plane> upon(
            List<Plane> under, List<Plane> over, List<Plane> cover, Workers workers) {
        return java.util.stream.IntStream.range(0, 3)
                .mapToObj(c -> Kernels.over(over.get(c), cover.get(c), under.get(c), workers))
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

    /** Into {@code blended}: cs (1 - ab) + cb (1 - as) + as ab B, with cs and cb premultiplied. */
    private static void weigh(
            float[] cb, float[] ab, float[] cs, float[] as, float[] blended, int n) {
        for (int i = 0; i < n; i++) {
            blended[i] = cs[i] * (1 - ab[i]) + cb[i] * (1 - as[i]) + as[i] * ab[i] * blended[i];
        }
    }

    private static List<Plane> faded(List<Plane> planes, float amount, Workers workers) {
        return amount == 1
                ? planes
                : planes.stream().map(p -> Kernels.scale(p, amount, workers)).toList();
    }

    private static List<Plane> coverage(Frame frame) {
        if (!frame.isOpaque()) {
            return frame.coverage();
        }
        Plane full = Plane.flat(frame.width(), frame.height(), 1);
        return List.of(full, full, full);
    }
}
