package ivrik.app.desk;

import ivrik.app.session.Session;
import ivrik.core.motion.Rational;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.project.ShotEdits;
import ivrik.core.project.Source;

import java.util.Comparator;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A dragged shot: moves in time, or slips its content with the shortcut key.
 *
 * @param from position where the drag started
 */
record ShotBody(Layer layer, Clip shot, double from) {
    /** Largest movement of a click in pixels. */
    private static final double STILL = 4;

    private static final double NEAR = 5;

    /** The shot under the pointer. */
    static Optional<ShotBody> at(
            Session session, TimeScale scale, double rowsBottom, double x, double y) {
        return ShotRibbon.at(session.project().layers(), y, rowsBottom, scale.moment(x))
                .flatMap(
                        layer ->
                                layer.clipAt(scale.frame(x))
                                        .map(shot -> new ShotBody(layer, shot, x)));
    }

    boolean isDrag(double x) {
        return Math.abs(x - from) >= STILL;
    }

    /** The project with the shot moved to the pointer; snaps to cuts and markers. */
    Project moved(Project project, TimeScale scale, double x, long playhead, boolean catching) {
        long by = Math.round(scale.moment(x) - scale.moment(from));
        long start = shot.start() + by;
        Stream<Long> places =
                Stream.concat(ShotEdits.catches(project).stream(), Stream.of(playhead))
                        .flatMap(f -> Stream.of(f, f - shot.length()));
        Optional<Long> caught =
                places.filter(f -> f != shot.start())
                        .filter(f -> Math.abs(scale.x(f) - scale.x(start)) < NEAR)
                        .min(Comparator.comparingLong(f -> Math.abs(f - start)));
        long to = catching ? caught.orElse(start) : start;
        Layer changed = new ShotEdits(project, layer).moved(shot.id(), to);
        return project.withLayer(layer.id(), l -> changed);
    }

    /** The project with the shot's content slipped by the pointer's distance. */
    Project slipped(Project project, TimeScale scale, double x) {
        Rational frames = Rational.of(Math.round(scale.moment(from) - scale.moment(x)));
        long by =
                project.source(shot.source())
                        .map(Source::rate)
                        .map(rate -> frames.times(rate).dividedBy(project.sequence().rate()))
                        .orElse(frames)
                        .floor();
        Layer changed = new ShotEdits(project, layer).slipped(shot.id(), by);
        return project.withLayer(layer.id(), l -> changed);
    }
}
