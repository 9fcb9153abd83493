package ivrik.app.desk;

import ivrik.app.session.Session;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.project.ShotEdits;

import java.util.Optional;

/**
 * A dragged start or end of a shot; at a cut both shots change.
 *
 * @param begins whether it is the start
 */
record ShotEdge(Layer layer, Clip shot, boolean begins) {
    private static final double NEAR = 5;

    /** The edge under the pointer; empty over the middle of a shot. */
    static Optional<ShotEdge> at(
            Session session, TimeScale scale, double rowsBottom, double x, double y) {
        Layer layer =
                ShotRibbon.at(session.project().layers(), y, rowsBottom, scale.moment(x))
                        .orElse(null);
        if (layer == null) {
            return Optional.empty();
        }
        for (Clip shot : layer.clips()) {
            if (Math.abs(scale.x(shot.start()) - x) < NEAR) {
                return Optional.of(new ShotEdge(layer, shot, true));
            }
        }
        return layer.clips().stream()
                .filter(c -> Math.abs(scale.x(c.end()) - x) < NEAR)
                .findFirst()
                .map(c -> new ShotEdge(layer, c, false));
    }

    /** The project with the edge at the pointer; snaps to nearby frames. */
    Project dragged(Project project, TimeScale scale, double x, long playhead, boolean catching) {
        long frame = Math.round(scale.moment(x));
        long own = begins ? shot.start() : shot.end();
        Optional<Long> caught = Snapping.at(project, playhead, scale, x, 0, own);
        long to = Math.max(0, catching ? caught.orElse(frame) : frame);
        ShotEdits edits = new ShotEdits(project, layer);
        Layer changed = begins ? edits.beginning(shot.id(), to) : edits.ending(shot.id(), to - 1);
        return project.withLayer(layer.id(), l -> changed);
    }
}
