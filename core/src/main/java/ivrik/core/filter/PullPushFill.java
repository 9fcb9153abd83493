package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.threads.Workers;

/**
 * Extends colour beyond the edge of its coverage, so that filters which look at neighbours see no edge.
 * Uncovered areas receive a smooth mean of the colours nearby: successively coarser pictures are filled, each
 * from the next coarser one (pull-push algorithm, Gortler et al. 1996).
 */
public final class PullPushFill {
    private PullPushFill() {}

    /**
     * Divides a plane by its coverage and fills uncovered areas.
     *
     * @param plane premultiplied by {@code coverage}
     */
    public static Plane beyond(Plane plane, Plane coverage, Workers workers) {
        int w = plane.width();
        int h = plane.height();
        boolean whole = w == 1 && h == 1;
        Plane coarse = whole ? null : beyond(halved(plane), halved(coverage), workers);
        Plane out = Plane.of(w, h);
        workers.rows(
                h,
                (from, to) -> {
                    for (int y = from; y < to; y++) {
                        for (int x = 0; x < w; x++) {
                            float cover = coverage.at(x, y);
                            float value =
                                    cover > 0
                                            ? plane.at(x, y) / cover
                                            : whole ? 0 : between(coarse, x, y);
                            out.data()[y * w + x] = value;
                        }
                    }
                });
        return out;
    }

    /** Sums of 2x2 samples. */
    private static Plane halved(Plane in) {
        int w = (in.width() + 1) / 2;
        int h = (in.height() + 1) / 2;
        Plane out = Plane.of(w, h);
        for (int y = 0; y < in.height(); y++) {
            for (int x = 0; x < in.width(); x++) {
                out.data()[y / 2 * w + x / 2] += in.at(x, y);
            }
        }
        return out;
    }

    /** Bilinear interpolation of a half-size picture at a pixel of the full-size one. */
    private static float between(Plane half, int x, int y) {
        float u = Math.clamp((x + 0.5f) / 2 - 0.5f, 0, half.width() - 1);
        float v = Math.clamp((y + 0.5f) / 2 - 0.5f, 0, half.height() - 1);
        int i = (int) u;
        int j = (int) v;
        int i1 = Math.min(i + 1, half.width() - 1);
        int j1 = Math.min(j + 1, half.height() - 1);
        float upper = half.at(i, j) + (u - i) * (half.at(i1, j) - half.at(i, j));
        float lower = half.at(i, j1) + (u - i) * (half.at(i1, j1) - half.at(i, j1));
        return upper + (v - j) * (lower - upper);
    }
}
