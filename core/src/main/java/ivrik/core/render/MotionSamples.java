package ivrik.core.render;

import ivrik.core.filter.Affine;
import ivrik.core.look.Shutter;
import ivrik.core.picture.Size;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.render.Plan.PlacementPlan;
import ivrik.core.treatment.Move;
import ivrik.core.treatment.Settings;
import ivrik.core.treatment.Treatment;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleBiFunction;

/**
 * Finds how many motion blur samples a movement needs, so that its copies merge into one trail: no point of the
 * picture moves further between two samples than a distance in sequence pixels.
 */
final class MotionSamples {
    /** Largest distance between two samples, in sequence pixels. */
    static final double MAX_DISTANCE = 1;

    /** Points on each side of the grid that is measured. */
    private static final int GRID = 3;

    private MotionSamples() {}

    /** Samples that the movements of channels need, given a plan for each of some samples. */
    static int ofLooks(List<LookPlan> moments, Size size) {
        return needed(moments, (a, b) -> distance(a, b, size));
    }

    /** Samples that the movement of a layer needs, given its place at each of some samples. */
    static int ofPlaces(List<PlacementPlan> moments, Size size) {
        return needed(moments, (a, b) -> distance(a, b, size));
    }

    private static <T> int needed(List<T> moments, ToDoubleBiFunction<T, T> distance) {
        double most = 0;
        for (int i = 1; i < moments.size(); i++) {
            most = Math.max(most, distance.applyAsDouble(moments.get(i - 1), moments.get(i)));
        }
        return (int)
                Math.min(Shutter.MOST_SAMPLES, Math.ceil(moments.size() * most / MAX_DISTANCE));
    }

    private static double distance(PlacementPlan a, PlacementPlan b, Size size) {
        double most = 0;
        for (int corner = 0; corner < 4; corner++) {
            double x = (corner % 2 - 0.5) * size.width();
            double y = (corner / 2 - 0.5) * size.height();
            most = Math.max(most, length(x(a, x, y) - x(b, x, y), y(a, x, y) - y(b, x, y)));
        }
        return most;
    }

    private static double x(PlacementPlan place, double x, double y) {
        Affine turned = Affine.turned(place.angleDegrees(), 0, 0);
        return place.x() + place.scale() * (turned.xx() * x + turned.yx() * y);
    }

    private static double y(PlacementPlan place, double x, double y) {
        Affine turned = Affine.turned(place.angleDegrees(), 0, 0);
        return place.y() + place.scale() * (turned.xy() * x + turned.yy() * y);
    }

    private static double distance(LookPlan a, LookPlan b, Size size) {
        double most = 0;
        for (int channel = 0; channel < a.prints().size(); channel++) {
            List<Part> before = parts(a, channel);
            List<Part> after = parts(b, channel);
            if (!before.equals(after)) {
                most = Math.max(most, distance(moved(before, size), moved(after, size)));
            }
        }
        return most;
    }

    /** A movement of a channel and its settings. */
    private record Part(Move move, Settings settings) {}

    private static List<Part> parts(LookPlan look, int channel) {
        List<Part> parts = new ArrayList<>();
        look.prepare().forEach(s -> add(parts, s.kind(), s.settings()));
        look.steps().forEach(s -> add(parts, s.kind(), s.channels().get(channel)));
        look.finish().forEach(s -> add(parts, s.kind(), s.settings()));
        return parts;
    }

    private static void add(List<Part> parts, Treatment kind, Settings settings) {
        if (kind instanceof Move move && settings != null) {
            parts.add(new Part(move, settings));
        }
    }

    /** How far some movements displace each point of a grid, added up: x, y, x, y and so on. */
    private static double[] moved(List<Part> parts, Size size) {
        double[] sums = new double[2 * GRID * GRID];
        for (Part part : parts) {
            double[] x = new double[GRID * GRID];
            double[] y = new double[GRID * GRID];
            for (int i = 0; i < x.length; i++) {
                x[i] = across(i, size);
                y[i] = down(i, size);
            }
            part.move().outline(part.settings(), size).back(x, y, x.length);
            for (int i = 0; i < x.length; i++) {
                sums[2 * i] += x[i] - across(i, size);
                sums[2 * i + 1] += y[i] - down(i, size);
            }
        }
        return sums;
    }

    private static double across(int point, Size size) {
        return (double) (point % GRID) / (GRID - 1) * size.width();
    }

    private static double down(int point, Size size) {
        return (double) (point / GRID) / (GRID - 1) * size.height();
    }

    private static double distance(double[] a, double[] b) {
        double most = 0;
        for (int i = 0; i < a.length; i += 2) {
            most = Math.max(most, length(a[i] - b[i], a[i + 1] - b[i + 1]));
        }
        return most;
    }

    /** Length of a vector; the same on every machine, unlike {@link Math#hypot}. */
    private static double length(double x, double y) {
        return Math.sqrt(x * x + y * y);
    }
}
