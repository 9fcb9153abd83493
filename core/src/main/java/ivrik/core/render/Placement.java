package ivrik.core.render;

import ivrik.core.filter.Affine;
import ivrik.core.filter.Moved;
import ivrik.core.filter.Warp;
import ivrik.core.look.Place;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.render.Plan.PlacePlan;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Resample;
import ivrik.core.sampling.Sampler;
import ivrik.core.threads.Workers;

import java.util.List;

/** Where a picture lies in the sequence. */
final class Placement {
    private Placement() {}

    /**
     * A place whose numbers are settled, its pivot worked into where its middle lies: the pivot stays where it
     * is at a scale of 1 and an angle of 0.
     */
    static PlacePlan plan(Place place) {
        double scale = place.scale().rest();
        double angle = place.angleDegrees().rest();
        Affine turned = Affine.turned(angle, 0, 0);
        double x = place.pivotX().rest();
        double y = place.pivotY().rest();
        return new PlacePlan(
                place.fit(),
                place.x().rest() + x - scale * (turned.xx() * x + turned.yx() * y),
                place.y().rest() + y - scale * (turned.xy() * x + turned.yy() * y),
                scale,
                angle,
                place.flipX(),
                place.flipY());
    }

    /** Pixels of the sequence to a pixel of a picture. */
    static double scale(Size picture, Size sequence, PlacePlan place) {
        double across = (double) sequence.width() / picture.width();
        double down = (double) sequence.height() / picture.height();
        return place.scale()
                * switch (place.fit()) {
                    case FIT -> Math.min(across, down);
                    case FILL -> Math.max(across, down);
                    case EXACT -> 1;
                };
    }

    /**
     * The size in pixels at which a picture is to be had.
     *
     * @param sequence the sequence at full size
     * @param shown the same as it is rendered
     */
    static Size size(Size picture, Size sequence, Size shown, PlacePlan place) {
        if (place.isPlain()) {
            return picture.fitInto(shown);
        }
        double scale = scale(picture, sequence, place) * shown.width() / sequence.width();
        return new Size(
                (int) Math.max(1, Math.rint(picture.width() * scale)),
                (int) Math.max(1, Math.rint(picture.height() * scale)));
    }

    /**
     * A picture in its place, nothing around it; itself if it just fills the size.
     *
     * @param in of any size
     * @param fitted what {@link #size} says
     * @param perPixel pixels of the result to a pixel of the sequence
     */
    static Frame put(
            Frame in, Size fitted, Size size, PlacePlan place, double perPixel, Workers workers) {
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
                p -> Moved.of(p, size, laid, EdgeFill.EMPTY, Sampler.CUBIC).toPlane(workers));
    }

    /** Turned about its middle, which comes to lie off the middle of the size. */
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
