package ivrik.app.desk;

import ivrik.app.session.Session;
import ivrik.app.theme.Palette;
import ivrik.core.look.Burst;
import ivrik.core.look.Bursting;
import ivrik.core.look.Look;
import ivrik.core.motion.Anchor;
import ivrik.core.motion.Axis;
import ivrik.core.motion.Coming;
import ivrik.core.motion.Course;
import ivrik.core.motion.Hill;
import ivrik.core.motion.Instant;
import ivrik.core.motion.Rational;
import ivrik.core.project.Layer;
import ivrik.core.project.Marker;

import javafx.scene.canvas.GraphicsContext;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * The bursts of the look on the desk: hills that stand on the line under the lanes, with a foot where their
 * anchor is.
 *
 * @param base the height of that line
 */
record BurstBand(Session session, TimeScale scale, double base) {
    private static final double HIGH = 12;
    private static final double SIDE = 4;
    private static final double NEAR = 6;

    /** A burst at one of its comings. */
    record Standing(Burst burst, Axis axis) {
        double first() {
            double reach = burst.course() instanceof Hill h ? h.before() + h.peak() - 1 : before();
            return axis.frame() - reach - (axis.between() ? 1 : 0);
        }

        private double before() {
            return burst.course().before();
        }

        /** The first frame after it. */
        double end() {
            double reach =
                    burst.course() instanceof Hill h
                            ? h.after() + h.peak() - (axis.between() ? 1 : 0)
                            : burst.course().after() + 1;
            return axis.frame() + reach;
        }
    }

    /** Where a burst is held. */
    enum Grip {
        BODY,
        BEFORE,
        AFTER
    }

    /** A burst that is held. */
    record Held(Standing standing, Grip grip) {}

    /** All of them, the selected one last. */
    List<Standing> standing() {
        Layer layer = session.state().layer().orElse(null);
        Look look = session.state().look().orElse(null);
        List<Standing> all = new ArrayList<>();
        if (layer == null || look.bursts().isEmpty()) {
            return all;
        }
        Instant first = session.plans().planner().instant(layer, Rational.ZERO);
        String selected = session.state().burst().map(Burst::id).orElse("");
        for (Burst each : look.bursts()) {
            Burst burst = Bursting.timed(look, each, first);
            List<Axis> axes =
                    Coming.between(
                            burst.anchor(),
                            burst.course(),
                            burst.repeat(),
                            first,
                            Rational.of(scale.frames()));
            boolean on = burst.id().equals(selected);
            axes.forEach(axis -> all.add(on ? all.size() : 0, new Standing(burst, axis)));
        }
        return all;
    }

    void paint(GraphicsContext g, Palette p, boolean chosen) {
        String selected = session.state().burst().map(Burst::id).orElse("");
        for (Standing standing : standing()) {
            boolean on = chosen && standing.burst.id().equals(selected);
            g.setFill(p.colour(on ? "paper" : "type"));
            g.setGlobalAlpha(on ? 1 : standing.burst.on() ? 0.45 : 0.2);
            hill(g, standing);
            g.setGlobalAlpha(1);
            double foot = Math.rint(scale.x(middle(standing.axis))) + 0.5;
            g.setStroke(p.colour(on ? "paper" : "quiet"));
            g.setLineWidth(1);
            g.strokeLine(foot, base, foot, base + 3);
            g.strokeLine(foot - 3, base + 3.5, foot + 3, base + 3.5);
        }
    }

    private static double middle(Axis axis) {
        return axis.between() ? axis.frame() : axis.frame() + 0.5;
    }

    private void hill(GraphicsContext g, Standing standing) {
        double least = Math.min(1, scale.frameWidth());
        double drawn = Double.NEGATIVE_INFINITY;
        double end = Math.min(standing.end(), scale.end());
        for (long f = (long) Math.max(scale.first(), Math.floor(standing.first())); f < end; f++) {
            double share = Math.abs(standing.burst.course().at(standing.axis, Rational.of(f)));
            if (share > 0 && scale.x(f) >= drawn) {
                double high = 2 + (HIGH - 2) * Math.min(1, share);
                double width = Math.max(1, scale.frameWidth()) + 0.4 * least;
                g.fillRect(scale.x(f), base - high, width, high);
                drawn = scale.x(f) + width - 0.5 * least;
            }
        }
    }

    /** What is under the pointer; of several the selected one, by its ends first. */
    Optional<Held> at(double x, double y) {
        if (y < base - HIGH || y > base + SIDE) {
            return Optional.empty();
        }
        List<Standing> all = standing().reversed();
        for (Standing each : all) {
            if (Math.abs(x - scale.x(each.first())) < SIDE) {
                return Optional.of(new Held(each, Grip.BEFORE));
            }
            if (Math.abs(x - scale.x(each.end())) < SIDE) {
                return Optional.of(new Held(each, Grip.AFTER));
            }
        }
        return all.stream()
                .filter(s -> x >= scale.x(s.first()) && x <= scale.x(s.end()))
                .map(s -> new Held(s, Grip.BODY))
                .findFirst();
    }

    /**
     * What a held burst becomes when it is dragged.
     *
     * @param burst as it was before
     */
    Burst dragged(Held held, Burst burst, double from, double to) {
        long by = Math.round((to - from) / scale.frameWidth());
        if (held.grip == Grip.BODY) {
            return moved(burst, held.standing.axis, by, to - from);
        }
        boolean later = held.grip == Grip.AFTER;
        Course course = burst.course();
        double frames = later ? course.after() + by : course.before() - by;
        return burst.withCourse(Bursting.stretched(course, later, frames));
    }

    /** To a cut or a marker that it is near, else to a frame; from several markers it is moved off. */
    private Burst moved(Burst burst, Axis axis, long by, double byPixels) {
        if (burst.anchor() instanceof Anchor.AtMarkers at && at.markers().size() > 1) {
            int offset = (int) (burst.repeat().offsetFrames() + by);
            return burst.withRepeat(burst.repeat().withOffsetFrames(offset));
        }
        double x = scale.x(middle(axis)) + byPixels;
        Burst there = burst.withRepeat(burst.repeat().withOffsetFrames(0));
        Map<String, Long> cuts =
                session.state().layer().map(l -> session.project().cuts(l)).orElse(Map.of());
        return near(cuts.entrySet().stream().toList(), e -> e.getValue(), x)
                .map(cut -> there.withAnchor(new Anchor.AtCut(cut.getKey())))
                .or(
                        () ->
                                near(session.project().markers(), m -> m.frame() + 0.5, x)
                                        .map(Marker::id)
                                        .map(id -> new Anchor.AtMarkers(List.of(id)))
                                        .map(there::withAnchor))
                .orElseGet(
                        () -> there.withAnchor(new Anchor.AtFrame(Math.max(0, axis.frame() + by))));
    }

    private <T> Optional<T> near(List<T> places, Function<T, Number> frame, double x) {
        return places.stream()
                .filter(p -> Math.abs(scale.x(frame.apply(p).doubleValue()) - x) < NEAR)
                .findFirst();
    }
}
