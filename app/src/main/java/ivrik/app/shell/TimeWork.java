package ivrik.app.shell;

import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.core.look.Amounts;
import ivrik.core.look.Bursting;
import ivrik.core.look.Look;
import ivrik.core.motion.Axis;
import ivrik.core.motion.Coming;
import ivrik.core.motion.Instant;
import ivrik.core.motion.Peg;
import ivrik.core.motion.Rational;
import ivrik.core.project.Arrange;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Layer;
import ivrik.core.project.Marker;

import java.util.List;
import java.util.NavigableSet;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Stream;

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
        session.state().look().stream().flatMap(TimeWork::pegs).forEach(p -> places.add(p.frame()));
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

    private static Stream<Peg> pegs(Look look) {
        Stream<Amounts> lanes = look.steps().stream().flatMap(s -> s.lanes().stream());
        return lanes.flatMap(
                        a ->
                                Stream.concat(
                                        a.values().values().stream(),
                                        Stream.of(a.jitter().amount())))
                .flatMap(v -> v.pegs().stream());
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
