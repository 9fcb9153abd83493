package ivrik.core.render;

import ivrik.core.picture.Alpha;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Kernels;
import ivrik.core.picture.Pixels;
import ivrik.core.picture.Plane;
import ivrik.core.separation.Separation;
import ivrik.core.threads.Workers;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;

/**
 * How the lanes of a picture lie apart that has been treated in a linear model: each has a coverage of its
 * own. Upon another picture such lanes meet the lanes of that one, each {@code over} its counterpart, so
 * that where only some of them lie the others of the picture beneath still show.
 *
 * @param coverage one plane for each lane of the model
 */
record Parting(Separation model, List<Plane> coverage) {
    Parting {
        coverage = List.copyOf(coverage);
    }

    Parting map(UnaryOperator<Plane> change) {
        return new Parting(model, coverage.stream().map(change).toList());
    }

    /**
     * The picture upon another.
     *
     * @param over multiplied by one coverage, the union of those of its lanes
     * @param amount 0..1, how much of it
     */
    Frame upon(Frame under, Frame over, double amount, Workers workers) {
        Frame below = under.united(workers).premultiplied(workers);
        Plane union = over.coverage().getFirst();
        Plane beneath =
                below.isOpaque()
                        ? Plane.flat(under.width(), under.height(), 1)
                        : below.coverage().getFirst();
        List<Plane> in = new ArrayList<>(over.colour());
        in.add(union);
        in.addAll(below.colour());
        in.add(beneath);
        in.addAll(coverage);
        int lanes = coverage.size();
        float share = (float) amount;
        List<Plane> out =
                Pixels.map(
                        in,
                        4,
                        workers,
                        (from, to, n) -> {
                            float[][] ours = lanes(from, 0, lanes, n);
                            float[][] theirs = lanes(from, 4, lanes, n);
                            float[] all = to[3];
                            cover(from[3], from[7], share, all, n);
                            for (int i = 0; i < lanes; i++) {
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

    /** The lanes of a colour that is multiplied by the coverage which stands behind it. */
    private float[][] lanes(float[][] rows, int first, int count, int n) {
        float[][] straight = new float[3][n];
        for (int c = 0; c < 3; c++) {
            divide(rows[first + c], rows[first + 3], straight[c], n);
        }
        float[][] lanes = new float[count][n];
        model.separate(straight, lanes, n);
        return lanes;
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

    /** One lane over its counterpart, divided by the coverage of all; into {@code lane}. */
    private static void meet(
            float[] lane,
            float[] union,
            float[] own,
            float[] under,
            float[] beneath,
            float share,
            float[] all,
            int n) {
        for (int i = 0; i < n; i++) {
            float sum = share * union[i] * lane[i] + (1 - share * own[i]) * beneath[i] * under[i];
            lane[i] = all[i] == 0 ? 0 : sum / all[i];
        }
    }

    private static void multiply(float[] colour, float[] by, int n) {
        for (int i = 0; i < n; i++) {
            colour[i] *= by[i];
        }
    }

    /** The largest of several coverages. */
    static Plane union(List<Plane> coverage, Workers workers) {
        return coverage.stream()
                .distinct()
                .reduce((a, b) -> a == b ? a : Kernels.maximum(a, b, workers))
                .orElseThrow();
    }
}
