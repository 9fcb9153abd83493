package ivrik.core.render;

import ivrik.core.picture.Alpha;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Pixels;
import ivrik.core.picture.Plane;
import ivrik.core.picture.PlaneArithmetic;
import ivrik.core.separation.Separation;
import ivrik.core.threads.Workers;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;

/**
 * The coverage of each channel of a picture that was treated in a linear model. Such a picture is composited
 * channel by channel, each {@code over} its counterpart below, so that channels that are transparent at a
 * pixel show the picture below.
 *
 * @param coverage one plane per channel of the model
 */
record ChannelCoverage(Separation model, List<Plane> coverage) {
    ChannelCoverage {
        coverage = List.copyOf(coverage);
    }

    ChannelCoverage map(UnaryOperator<Plane> change) {
        return new ChannelCoverage(model, coverage.stream().map(change).toList());
    }

    /**
     * The picture composited over another.
     *
     * @param over premultiplied by a single coverage, the union of its channels' coverage
     * @param amount opacity, 0..1
     */
    Frame over(Frame under, Frame over, double amount, Workers workers) {
        Frame below = under.united(workers).premultiplied(workers);
        Plane union = over.coverage().getFirst();
        Plane backdrop =
                below.isOpaque()
                        ? Plane.flat(under.width(), under.height(), 1)
                        : below.coverage().getFirst();
        List<Plane> in = new ArrayList<>(over.colour());
        in.add(union);
        in.addAll(below.colour());
        in.add(backdrop);
        in.addAll(coverage);
        int channels = coverage.size();
        float share = (float) amount;
        List<Plane> out =
                Pixels.map(
                        in,
                        4,
                        workers,
                        (from, to, n) -> {
                            float[][] ours = channels(from, 0, channels, n);
                            float[][] theirs = channels(from, 4, channels, n);
                            float[] all = to[3];
                            cover(from[3], from[7], share, all, n);
                            for (int i = 0; i < channels; i++) {
                                float[] own = from[8 + i];
                                meet(ours[i], from[3], own, theirs[i], from[7], share, all, n);
                            }
                            model.rejoin(ours, to, n);
                            for (int c = 0; c < 3; c++) {
                                multiply(to[c], all, n);
                            }
                        });
        List<Plane> colour = out.subList(0, 3);
        return below.isOpaque()
                ? new Frame(colour, Alpha.OPAQUE, List.of())
                : new Frame(
                        colour, Alpha.PREMULTIPLIED, List.of(out.get(3), out.get(3), out.get(3)));
    }

    /** The channels of a colour that is premultiplied by the coverage after it. */
    private float[][] channels(float[][] rows, int first, int count, int n) {
        float[][] straight = new float[3][n];
        for (int c = 0; c < 3; c++) {
            divide(rows[first + c], rows[first + 3], straight[c], n);
        }
        float[][] channels = new float[count][n];
        model.separate(straight, channels, n);
        return channels;
    }

    private static void divide(float[] colour, float[] cover, float[] out, int n) {
        for (int i = 0; i < n; i++) {
            out[i] = cover[i] == 0 ? 0 : colour[i] / cover[i];
        }
    }

    private static void cover(float[] over, float[] under, float share, float[] out, int n) {
        for (int i = 0; i < n; i++) {
            out[i] = share * over[i] + (1 - share * over[i]) * under[i];
        }
    }

    /**
     * Composites one channel over its counterpart, divided by the total coverage, into {@code channel}.
     */
    private static void meet(
            float[] channel,
            float[] union,
            float[] own,
            float[] under,
            float[] backdrop,
            float share,
            float[] all,
            int n) {
        for (int i = 0; i < n; i++) {
            float sum =
                    share * union[i] * channel[i] + (1 - share * own[i]) * backdrop[i] * under[i];
            channel[i] = all[i] == 0 ? 0 : sum / all[i];
        }
    }

    private static void multiply(float[] colour, float[] by, int n) {
        for (int i = 0; i < n; i++) {
            colour[i] *= by[i];
        }
    }

    /** The maximum of several coverages. */
    static Plane union(List<Plane> coverage, Workers workers) {
        return coverage.stream()
                .distinct()
                .reduce((a, b) -> a == b ? a : PlaneArithmetic.maximum(a, b, workers))
                .orElseThrow();
    }
}
