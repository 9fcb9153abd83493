package ivrik.core.render;

import ivrik.core.colour.Hue;
import ivrik.core.colour.Luma;
import ivrik.core.colour.Transfer;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Kernels;
import ivrik.core.picture.Pixels;
import ivrik.core.picture.Plane;
import ivrik.core.render.Plan.HuePlan;
import ivrik.core.render.Plan.ReachPlan;
import ivrik.core.render.Plan.TonePlan;
import ivrik.core.threads.Workers;

import java.util.List;

/** How far each pixel of a picture is in a look's reach, 0..1. */
public final class Reaching {
    /** Below the first, colours are grey; above the second they are not: chroma over the brightest part. */
    private static final float GREY = 0.08f;

    private static final float COLOURED = 0.3f;

    private Reaching() {}

    /**
     * The weights of a picture's pixels.
     *
     * @param transfer of the picture's numbers, for windows of linear light
     * @param matte where the reach has one, the picture it is taken from; of the picture's size
     */
    static Plane of(
            ReachPlan reach, Transfer transfer, Frame picture, Frame matte, Workers workers) {
        List<Plane> colour = picture.straight(workers).colour();
        TonePlan tones = reach.tones().orElse(null);
        HuePlan hues = reach.hues().orElse(null);
        Plane weights =
                Pixels.map(
                                colour,
                                1,
                                workers,
                                (in, out, n) -> {
                                    for (int i = 0; i < n; i++) {
                                        float r = in[0][i];
                                        float g = in[1][i];
                                        float b = in[2][i];
                                        float t =
                                                tones == null ? 1 : tone(tones, transfer, r, g, b);
                                        float h = hues == null ? 1 : hue(hues, r, g, b);
                                        out[0][i] = t * h;
                                    }
                                })
                        .getFirst();
        if (reach.matte().isPresent()) {
            Plane channel = matte(reach.matte().get().luma(), matte, workers);
            weights = Kernels.multiply(weights, channel, workers);
        }
        return reach.inverted() ? inverse(weights, workers) : weights;
    }

    private static Plane matte(boolean luma, Frame matte, Workers workers) {
        if (luma) {
            return luma(matte.premultiplied(workers).colour(), workers);
        }
        return matte.isOpaque()
                ? Plane.flat(matte.width(), matte.height(), 1)
                : matte.unionAlpha(workers);
    }

    /** 1 - w. */
    static Plane inverse(Plane weights, Workers workers) {
        return Pixels.map(
                        List.of(weights),
                        1,
                        workers,
                        (in, out, n) -> {
                            for (int i = 0; i < n; i++) {
                                out[0][i] = 1 - in[0][i];
                            }
                        })
                .getFirst();
    }

    /** Luma of red, green and blue. */
    public static Plane luma(List<Plane> colour, Workers workers) {
        return Pixels.map(colour, 1, workers, (in, out, n) -> Luma.row(in, out[0], n)).getFirst();
    }

    private static float tone(TonePlan t, Transfer transfer, float r, float g, float b) {
        double v =
                t.linear()
                        ? Luma.RED * transfer.toLinear(r)
                                + Luma.GREEN * transfer.toLinear(g)
                                + Luma.BLUE * transfer.toLinear(b)
                        : Luma.of(r, g, b);
        double from = t.low() <= 0 ? 1 : step(v - t.low(), t.soft());
        double to = t.high() >= 1 ? 1 : 1 - step(v - t.high(), t.soft());
        return (float) (from * to);
    }

    private static float hue(HuePlan h, float r, float g, float b) {
        float high = Math.max(r, Math.max(g, b));
        float low = Math.min(r, Math.min(g, b));
        float chroma = high - low;
        if (high <= 0 || chroma <= 0) {
            return 0;
        }
        double apart = Math.abs(Math.IEEEremainder(Hue.degrees(r, g, b) - h.hue(), Hue.TURN));
        double near =
                h.soft() == 0
                        ? (apart <= h.width() / 2 ? 1 : 0)
                        : 1 - step(apart - h.width() / 2 - h.soft() / 2, h.soft());
        double coloured = step(chroma / high - (GREY + COLOURED) / 2, COLOURED - GREY);
        return (float) (near * coloured);
    }

    /** 0 below, 1 above, smooth over a width about 0. */
    private static double step(double v, double width) {
        if (width <= 0) {
            return v < 0 ? 0 : 1;
        }
        double t = Math.clamp(v / width + 0.5, 0, 1);
        return t * t * (3 - 2 * t);
    }
}
