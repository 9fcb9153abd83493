package ivrik.app.desk;

import ivrik.app.session.Session;
import ivrik.app.theme.Palette;
import ivrik.core.look.Burst;
import ivrik.core.look.BurstEdits;
import ivrik.core.look.Look;
import ivrik.core.motion.Anchor;
import ivrik.core.motion.AnchorTime;
import ivrik.core.motion.Instant;
import ivrik.core.motion.Occurrence;
import ivrik.core.motion.PeakEnvelope;
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
 * The bursts of the selected look, drawn on the line below the channels with a foot at their anchor.
 *
 * @param base vertical position of the line
 */
record BurstBand(Session session, TimeScale scale, double base) {
    private static final double HIGH = 12;
    private static final double SIDE = 4;
    private static final double NEAR = 6;

    /** A burst at one of its repetitions. */
    record Standing(Burst burst, AnchorTime anchorTime) {
        double first() {
            double extent =
                    burst.envelope() instanceof PeakEnvelope h
                            ? h.before() + h.peak() - 1
                            : before();
            return anchorTime.frame() - extent - (anchorTime.between() ? 1 : 0);
        }

        private double before() {
            return burst.envelope().before();
        }

        /** The frame after its end. */
        double end() {
            double extent =
                    burst.envelope() instanceof PeakEnvelope h
                            ? h.after() + h.peak() - (anchorTime.between() ? 1 : 0)
                            : burst.envelope().after() + 1;
            return anchorTime.frame() + extent;
        }
    }

    /** Draggable parts of a burst. */
    enum Grip {
        BODY,
        BEFORE,
        AFTER
    }

    /** A dragged part of a burst. */
    record Held(Standing standing, Grip grip) {}

    /** All bursts, the selected one last. */
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
            Burst burst = BurstEdits.timed(look, each, first);
            List<AnchorTime> axes =
                    Occurrence.between(
                            burst.anchor(),
                            burst.envelope(),
                            burst.repeat(),
                            first,
                            Rational.of(scale.frames()));
            boolean on = burst.id().equals(selected);
            axes.forEach(
                    anchorTime -> all.add(on ? all.size() : 0, new Standing(burst, anchorTime)));
        }
        return all;
    }

    void paint(GraphicsContext g, Palette p, boolean chosen) {
        String selected = session.state().burst().map(Burst::id).orElse("");
        for (Standing standing : standing()) {
            boolean on = chosen && standing.burst.id().equals(selected);
            g.setFill(p.colour(on ? "paper" : "type"));
            g.setGlobalAlpha(on ? 1 : standing.burst.on() ? 0.45 : 0.2);
            peakEnvelope(g, standing);
            g.setGlobalAlpha(1);
            double foot = Math.rint(scale.x(middle(standing.anchorTime))) + 0.5;
            g.setStroke(p.colour(on ? "paper" : "quiet"));
            g.setLineWidth(1);
            g.strokeLine(foot, base, foot, base + 3);
            g.strokeLine(foot - 3, base + 3.5, foot + 3, base + 3.5);
        }
    }

    private static double middle(AnchorTime anchorTime) {
        return anchorTime.between() ? anchorTime.frame() : anchorTime.frame() + 0.5;
    }

    private void peakEnvelope(GraphicsContext g, Standing standing) {
        double least = Math.min(1, scale.frameWidth());
        double drawn = Double.NEGATIVE_INFINITY;
        double end = Math.min(standing.end(), scale.end());
        for (long f = (long) Math.max(scale.first(), Math.floor(standing.first())); f < end; f++) {
            double share =
                    Math.abs(standing.burst.envelope().at(standing.anchorTime, Rational.of(f)));
            if (share > 0 && scale.x(f) >= drawn) {
                double high = 2 + (HIGH - 2) * Math.min(1, share);
                double width = Math.max(1, scale.frameWidth()) + 0.4 * least;
                g.fillRect(scale.x(f), base - high, width, high);
                drawn = scale.x(f) + width - 0.5 * least;
            }
        }
    }

    /** The part under the pointer; the selected burst has precedence, and its ends come first. */
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
     * A burst after a drag.
     *
     * @param burst burst before the drag
     */
    Burst dragged(Held held, Burst burst, double from, double to) {
        long by = Math.round((to - from) / scale.frameWidth());
        if (held.grip == Grip.BODY) {
            return moved(burst, held.standing.anchorTime, by, to - from);
        }
        boolean later = held.grip == Grip.AFTER;
        double frames = later ? burst.framesAfter() + by : burst.framesBefore() - by;
        return BurstEdits.stretched(burst, later, frames);
    }

    /**
     * Snaps to a nearby cut or marker, otherwise to a frame; a burst at several markers gets an offset.
     */
    private Burst moved(Burst burst, AnchorTime anchorTime, long by, double byPixels) {
        if (burst.anchor() instanceof Anchor.AtMarkers at && at.markers().size() > 1) {
            int offset = (int) (burst.repeat().offsetFrames() + by);
            return burst.withRepeat(burst.repeat().withOffsetFrames(offset));
        }
        double x = scale.x(middle(anchorTime)) + byPixels;
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
                        () ->
                                there.withAnchor(
                                        new Anchor.AtFrame(Math.max(0, anchorTime.frame() + by))));
    }

    private <T> Optional<T> near(List<T> places, Function<T, Number> frame, double x) {
        return places.stream()
                .filter(p -> Math.abs(scale.x(frame.apply(p).doubleValue()) - x) < NEAR)
                .findFirst();
    }
}
