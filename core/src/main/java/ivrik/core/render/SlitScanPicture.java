package ivrik.core.render;

import ivrik.core.picture.Alpha;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.PlaneArithmetic;
import ivrik.core.render.Plan.Slice;
import ivrik.core.render.Plan.SlitPlan;
import ivrik.core.threads.Workers;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;

/** Composes a picture from several frames by the time of each pixel. */
final class SlitScanPicture {
    private final SlitPlan plan;
    private final Plane where;
    private final Workers workers;

    /**
     * @param where position of each pixel between the near end (0) and the far end (1)
     */
    SlitScanPicture(SlitPlan plan, Plane where, Workers workers) {
        this.plan = plan;
        this.where = where;
        this.workers = workers;
    }

    /** Position of each pixel along a direction: 0 at the first corner, 1 at the last. */
    static Plane along(double angleDegrees, int width, int height, Workers workers) {
        double angle = Math.toRadians(angleDegrees);
        double right = StrictMath.cos(angle);
        double down = StrictMath.sin(angle);
        double extent = width * Math.abs(right) + height * Math.abs(down);
        Plane where = Plane.of(width, height);
        workers.rows(
                height,
                (from, to) -> {
                    for (int y = from; y < to; y++) {
                        double start = (y + 0.5 - height / 2.0) * down / extent + 0.5;
                        for (int x = 0; x < width; x++) {
                            where.data()[where.row(y) + x] =
                                    (float) (start + (x + 0.5 - width / 2.0) * right / extent);
                        }
                    }
                });
        return where;
    }

    /** Share of a slice in a pixel, 0..1. */
    private double share(Slice slice, double near) {
        double share =
                plan.delayAcross() == 0
                        ? 1
                        : 1 - Math.abs(plan.delay() + plan.delayAcross() * near - slice.delay());
        double cut = plan.cut() + plan.wipe() * near;
        return Math.max(0, share)
                * (Math.clamp(slice.to() + cut, 0, 1) - Math.clamp(slice.from() + cut, 0, 1));
    }

    /**
     * The picture as the first slice plus the weighted differences of the others, so that still parts stay
     * exact.
     */
    Frame of(Function<Slice, Frame> pictures) {
        List<Slice> slices = plan.slices();
        Frame first = pictures.apply(slices.getFirst());
        List<Plane> base = planes(first);
        List<Plane> sum = new ArrayList<>();
        base.forEach(plane -> sum.add(PlaneArithmetic.scale(plane, 1, workers)));
        boolean opaque = first.isOpaque();
        for (Slice slice : slices.subList(1, slices.size())) {
            Frame next = pictures.apply(slice);
            opaque &= next.isOpaque();
            List<Plane> planes = planes(next);
            workers.rows(where.height(), (from, to) -> add(slice, planes, base, sum, from, to));
        }
        return opaque
                ? new Frame(sum.subList(0, 3), Alpha.OPAQUE, List.of())
                : new Frame(sum.subList(0, 3), Alpha.PREMULTIPLIED, sum.subList(3, 6));
    }

    /** Premultiplied colour and coverage. */
    private List<Plane> planes(Frame frame) {
        Frame covered = frame.covered(workers);
        return Stream.concat(covered.colour().stream(), covered.coverage().stream()).toList();
    }

    private void add(
            Slice slice, List<Plane> planes, List<Plane> base, List<Plane> sum, int from, int to) {
        float[] shares = new float[where.width()];
        for (int y = from; y < to; y++) {
            boolean any = false;
            int row = where.row(y);
            for (int x = 0; x < shares.length; x++) {
                shares[x] = (float) share(slice, where.data()[row + x]);
                any |= shares[x] != 0;
            }
            for (int c = 0; any && c < sum.size(); c++) {
                add(shares, planes.get(c), base.get(c), sum.get(c), y);
            }
        }
    }

    private static void add(float[] shares, Plane plane, Plane base, Plane sum, int y) {
        int in = plane.row(y);
        int from = base.row(y);
        int out = sum.row(y);
        for (int x = 0; x < shares.length; x++) {
            sum.data()[out + x] += shares[x] * (plane.data()[in + x] - base.data()[from + x]);
        }
    }
}
