package ivrik.core.render;

import ivrik.core.colour.Hue;
import ivrik.core.colour.Luma;
import ivrik.core.colour.Transfer;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Pixels;
import ivrik.core.picture.Plane;
import ivrik.core.picture.PlaneArithmetic;
import ivrik.core.render.Plan.HuePlan;
import ivrik.core.render.Plan.MaskPlan;
import ivrik.core.render.Plan.TonePlan;
import ivrik.core.threads.Workers;

import java.util.List;

/** Evaluates the mask of a look for each pixel, 0..1. */
public final class MaskWeights {
    /** Limits of chroma relative to the maximum channel between grey and coloured pixels. */
    private static final float GREY = 0.08f;

    private static final float COLOURED = 0.3f;

    private MaskWeights() {}

    /**
     * The mask of a picture's pixels.
     *
     * @param transfer transfer function of the picture, for tone ranges in linear light
     * @param matte picture of the matte, of the same size; unused without one
     */
    static Plane of(MaskPlan mask, Transfer transfer, Frame picture, Frame matte, Workers workers) {
        List<Plane> colour = picture.straight(workers).colour();
        TonePlan tones = mask.tones().orElse(null);
        HuePlan hues = mask.hues().orElse(null);
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
        if (mask.matte().isPresent()) {
            Plane channel = matte(mask.matte().get().luma(), matte, workers);
            weights = PlaneArithmetic.multiply(weights, channel, workers);
        }
        return mask.inverted() ? inverse(weights, workers) : weights;
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

    /** Smooth step around 0: 0 below, 1 above. */
    private static double step(double v, double width) {
        if (width <= 0) {
            return v < 0 ? 0 : 1;
        }
        double t = Math.clamp(v / width + 0.5, 0, 1);
        return t * t * (3 - 2 * t);
    }
}
