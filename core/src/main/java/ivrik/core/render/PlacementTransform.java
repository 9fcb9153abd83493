package ivrik.core.render;

import ivrik.core.filter.Affine;
import ivrik.core.filter.Warp;
import ivrik.core.filter.WarpedPlane;
import ivrik.core.look.Placement;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.render.Plan.PlacementPlan;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Resample;
import ivrik.core.sampling.Sampler;
import ivrik.core.threads.Workers;

import java.util.List;

/** Places a picture in the sequence. */
final class PlacementTransform {
    private PlacementTransform() {}

    /**
     * A placement with constant numbers; the pivot, fixed at scale 1 and angle 0, is folded into the centre.
     */
    static PlacementPlan plan(Placement place) {
        double scale = place.scale().rest();
        double angle = place.angleDegrees().rest();
        Affine turned = Affine.turned(angle, 0, 0);
        double x = place.pivotX().rest();
        double y = place.pivotY().rest();
        return new PlacementPlan(
                place.fit(),
                place.x().rest() + x - scale * (turned.xx() * x + turned.yx() * y),
                place.y().rest() + y - scale * (turned.xy() * x + turned.yy() * y),
                scale,
                angle,
                place.flipX(),
                place.flipY());
    }

    /** Sequence pixels per picture pixel. */
    static double scale(Size picture, Size sequence, PlacementPlan place) {
        double across = (double) sequence.width() / picture.width();
        double down = (double) sequence.height() / picture.height();
        return place.scale()
                * switch (place.fit()) {
                    case FIT -> Math.min(across, down);
                    case FILL -> Math.max(across, down);
                    case ORIGINAL_SIZE -> 1;
                };
    }

    /**
     * The size at which a picture is requested.
     *
     * @param sequence full size of the sequence
     * @param shown rendered size of the sequence
     */
    static Size size(Size picture, Size sequence, Size shown, PlacementPlan place) {
        if (place.isPlain()) {
            return picture.fitInto(shown);
        }
        double scale = scale(picture, sequence, place) * shown.width() / sequence.width();
        return new Size(
                (int) Math.max(1, Math.rint(picture.width() * scale)),
                (int) Math.max(1, Math.rint(picture.height() * scale)));
    }

    /**
     * A placed picture with transparent surroundings; the same picture if it fills the size.
     *
     * @param in of any size
     * @param fitted the result of {@link #size}
     * @param perPixel rendered pixels per sequence pixel
     */
    static Frame put(
            Frame in,
            Size fitted,
            Size size,
            PlacementPlan place,
            double perPixel,
            Workers workers) {
        Frame picture = Resample.to(in, fitted, workers);
        if (place.isPlain() && fitted.equals(size)) {
            return picture;
        }
        Frame covered = picture.covered(workers);
        if (place.flipX() || place.flipY()) {
            covered = covered.mapPlanes(p -> flipped(p, place.flipX(), place.flipY()));
        }
        double x = place.x() * perPixel;
        double y = place.y() * perPixel;
        if (place.isPlain()) {
            int left = (size.width() - fitted.width()) / 2;
            int top = (size.height() - fitted.height()) / 2;
            return covered.mapPlanes(p -> padded(p, size, left, top));
        }
        List<Warp> laid = laid(fitted, size, place.angleDegrees(), x, y);
        return covered.mapPlanes(
                p -> WarpedPlane.of(p, size, laid, EdgeFill.EMPTY, Sampler.CUBIC).toPlane(workers));
    }

    /** A picture rotated about its centre, with the centre offset from the centre of the size. */
    static List<Warp> laid(Size picture, Size size, double angleDegrees, double x, double y) {
        double middleX = picture.width() / 2.0;
        double middleY = picture.height() / 2.0;
        return List.of(
                Affine.turned(angleDegrees, middleX, middleY),
                Affine.moved(size.width() / 2.0 + x - middleX, size.height() / 2.0 + y - middleY));
    }

    private static Plane flipped(Plane in, boolean acrossX, boolean acrossY) {
        Plane out = Plane.of(in.width(), in.height());
        for (int y = 0; y < in.height(); y++) {
            int from = in.row(acrossY ? in.height() - 1 - y : y);
            int to = out.row(y);
            for (int x = 0; x < in.width(); x++) {
                out.data()[to + x] = in.data()[from + (acrossX ? in.width() - 1 - x : x)];
            }
        }
        return out;
    }

    private static Plane padded(Plane in, Size size, int left, int top) {
        Plane out = Plane.of(size.width(), size.height());
        for (int y = 0; y < in.height(); y++) {
            System.arraycopy(in.data(), in.row(y), out.data(), out.row(top + y) + left, in.width());
        }
        return out;
    }
}
