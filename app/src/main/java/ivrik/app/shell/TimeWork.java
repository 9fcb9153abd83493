package ivrik.app.shell;

import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.core.look.Bursting;
import ivrik.core.look.Look;
import ivrik.core.look.Targets;
import ivrik.core.motion.Axis;
import ivrik.core.motion.Coming;
import ivrik.core.motion.Instant;
import ivrik.core.motion.Rational;
import ivrik.core.project.Arrange;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Layer;
import ivrik.core.project.Marker;

import java.util.Comparator;
import java.util.List;
import java.util.NavigableSet;
import java.util.Optional;
import java.util.TreeSet;

/** What the keys do in time. */
final class TimeWork {
    private final Session session;
    private final View view;

    TimeWork(Session session, View view) {
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

    /** To the next peg or burst of the look on the desk, cut or marker, or to the one before. */
    void jump(boolean forward) {
        NavigableSet<Long> places = new TreeSet<>(session.project().cuts());
        session.project().markers().forEach(m -> places.add(m.frame()));
        session.state()
                .look()
                .ifPresent(
                        look ->
                                Targets.keyed(look).stream()
                                        .flatMap(t -> Targets.value(look, t).stream())
                                        .flatMap(v -> v.pegs().stream())
                                        .forEach(p -> places.add(p.frame())));
        places.addAll(bursts());
        Long to = forward ? places.higher(view.frame.get()) : places.lower(view.frame.get());
        if (to != null) {
            go(Math.min(to, session.project().frames() - 1));
        }
    }

    /** The frames that the bursts of the look on the desk lie about. */
    private List<Long> bursts() {
        Layer layer = session.state().layer().orElseThrow();
        Instant first = session.plans().planner().instant(layer, Rational.ZERO);
        Rational end = Rational.of(session.project().frames());
        Look look = session.state().look().orElseThrow();
        return look.bursts().stream()
                .map(b -> Bursting.timed(look, b, first))
                .flatMap(
                        b ->
                                Coming.between(b.anchor(), b.course(), b.repeat(), first, end)
                                        .stream())
                .map(Axis::frame)
                .filter(f -> f >= 0)
                .toList();
    }

    /** Plays round and round about the burst or the cut that is nearest, as far as the burst goes and a little. */
    void playAround() {
        long here = view.frame.get();
        NavigableSet<Long> places = new TreeSet<>(session.project().cuts());
        places.addAll(bursts());
        long about =
                places.stream().min(Comparator.comparing(p -> Math.abs(p - here))).orElse(here);
        double reach =
                session.state().look().stream()
                        .flatMap(l -> l.bursts().stream())
                        .mapToDouble(b -> b.course().reach())
                        .max()
                        .orElse(0);
        long side = Math.round(session.project().sequence().rate().toDouble() / 2 + reach);
        FrameRange around =
                new FrameRange(Math.max(0, about - side), about + side)
                        .within(session.project().allFrames());
        session.edit("Play range " + around, p -> p.withPlayRange(Optional.of(around)));
        view.frame.set(around.first());
        view.loop.set(true);
        view.playing.set(true);
    }

    void range(boolean begins) {
        FrameRange next = Arrange.played(session.project(), view.frame.get(), begins);
        session.edit("Play range " + next, p -> p.withPlayRange(Optional.of(next)));
    }

    /** Sets a marker, or clears the one that is there. */
    void marker() {
        long here = view.frame.get();
        session.edit("Marker at " + here, p -> p.toggleMarker(new Marker(here, "mark " + here)));
    }
}
