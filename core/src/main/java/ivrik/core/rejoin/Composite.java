package ivrik.core.rejoin;

import ivrik.core.picture.Alpha;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Kernels;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Planes;
import ivrik.core.picture.Workers;

import java.util.ArrayList;
import java.util.List;

/**
 * One picture upon another of the same size, channel by channel, by the general formula of W3C
 * Compositing and Blending Level 1: Co = cs (1 - ab) + cb (1 - as) + as ab B(Cb, Cs), with each
 * channel's own coverage.
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
            List<Plane> colour =
                    Planes.zip(
                            under.colour(),
                            over.colour(),
                            (u, o) ->
                                    amount == 1
                                            ? blend.channel(u, o, workers)
                                            : Kernels.mix(
                                                    u,
                                                    blend.channel(u, o, workers),
                                                    (float) amount,
                                                    workers));
            return new Frame(colour, Alpha.OPAQUE, List.of());
        }
        return covered(
                under.premultiplied(workers),
                over.premultiplied(workers),
                blend,
                (float) amount,
                workers);
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

    private static Frame covered(
            Frame under, Frame over, Blend blend, float amount, Workers workers) {
        List<Plane> underCover = coverage(under);
        List<Plane> overCover = faded(coverage(over), amount, workers);
        List<Plane> overColour = faded(over.colour(), amount, workers);
        List<Plane> colour = new ArrayList<>();
        for (int c = 0; c < 3; c++) {
            colour.add(
                    blend.channel(
                            under.colour().get(c),
                            underCover.get(c),
                            overColour.get(c),
                            overCover.get(c),
                            workers));
        }
        if (under.isOpaque()) {
            return new Frame(colour, Alpha.OPAQUE, List.of());
        }
        List<Plane> cover =
                Planes.zip(underCover, overCover, (u, o) -> Kernels.over(o, o, u, workers));
        return new Frame(colour, Alpha.PREMULTIPLIED, cover);
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
