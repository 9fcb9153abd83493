package ivrik.app.shell;

import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.core.look.BurstEdits;
import ivrik.core.look.Look;
import ivrik.core.look.Targets;
import ivrik.core.motion.AnchorTime;
import ivrik.core.motion.Instant;
import ivrik.core.motion.Keyframe;
import ivrik.core.motion.Occurrence;
import ivrik.core.motion.Rational;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Layer;
import ivrik.core.project.Marker;
import ivrik.core.project.ProjectEdits;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.NavigableSet;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/** Effects of keys on time. */
final class TimeActions {
    private final Session session;
    private final View view;

    TimeActions(Session session, View view) {
        this.session = session;
        this.view = view;
    }

    void go(long frame) {
        view.playing.set(false);
        view.frame.set(frame);
    }

    void step(long by) {
        go(Math.clamp(view.frame.get() + by, 0, session.project().frames() - 1));
    }

    /** Goes to the next or previous place of some kinds: cut, marker, keyframe or burst. */
    void jump(Set<Place> kinds, boolean forward) {
        NavigableSet<Long> places = new TreeSet<>();
        kinds.forEach(kind -> places.addAll(places(kind)));
        Long to = forward ? places.higher(view.frame.get()) : places.lower(view.frame.get());
        if (to != null) {
            go(Math.min(to, session.project().frames() - 1));
        }
    }

    /** Moves the playhead by one second, rounded to whole frames. */
    void stepSecond(int direction) {
        step(direction * Math.round(session.project().sequence().rate().toDouble()));
    }

    /** What a jump stops at. */
    enum Place {
        CUT,
        MARKER,
        KEYFRAME,
        BURST
    }

    private Collection<Long> places(Place kind) {
        return switch (kind) {
            case CUT -> session.project().cuts();
            case MARKER -> session.project().markers().stream().map(Marker::frame).toList();
            case KEYFRAME -> session.state().look().map(TimeActions::keyframes).orElse(List.of());
            case BURST -> bursts();
        };
    }

    private static List<Long> keyframes(Look look) {
        return Targets.keyed(look).stream()
                .flatMap(t -> Targets.value(look, t).stream())
                .flatMap(v -> v.keyframes().stream())
                .map(Keyframe::frame)
                .toList();
    }

    /** Anchor frames of the selected look's bursts. */
    private List<Long> bursts() {
        Layer layer = session.state().layer().orElseThrow();
        Instant first = session.plans().planner().instant(layer, Rational.ZERO);
        Rational end = Rational.of(session.project().frames());
        Look look = session.state().look().orElseThrow();
        return look.bursts().stream()
                .map(b -> BurstEdits.timed(look, b, first))
                .flatMap(
                        b ->
                                Occurrence.between(b.anchor(), b.envelope(), b.repeat(), first, end)
                                        .stream())
                .map(AnchorTime::frame)
                .filter(f -> f >= 0)
                .toList();
    }

    /** Loops around the nearest burst or cut, over the burst's length plus a margin. */
    void playAround() {
        long here = view.frame.get();
        NavigableSet<Long> places = new TreeSet<>(session.project().cuts());
        places.addAll(bursts());
        long about =
                places.stream().min(Comparator.comparing(p -> Math.abs(p - here))).orElse(here);
        double extent =
                session.state().look().stream()
                        .flatMap(l -> l.bursts().stream())
                        .mapToDouble(b -> b.envelope().extent())
                        .max()
                        .orElse(0);
        long side = Math.round(session.project().sequence().rate().toDouble() / 2 + extent);
        FrameRange timelineContext =
                new FrameRange(Math.max(0, about - side), about + side)
                        .within(session.project().allFrames());
        session.edit(
                "Play range " + timelineContext,
                p -> p.withPlayRange(Optional.of(timelineContext)));
        view.frame.set(timelineContext.first());
        view.loop.set(true);
        view.playing.set(true);
    }

    void range(boolean begins) {
        FrameRange next = ProjectEdits.played(session.project(), view.frame.get(), begins);
        session.edit("Play range " + next, p -> p.withPlayRange(Optional.of(next)));
    }

    /** Sets or deletes a marker. */
    void marker() {
        long here = view.frame.get();
        session.edit("Marker at " + here, p -> p.toggleMarker(new Marker(here, "marker " + here)));
    }
}
