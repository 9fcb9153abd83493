package ivrik.app.desk;

import ivrik.core.project.Project;
import ivrik.core.project.ShotEdits;

import java.util.Comparator;
import java.util.Optional;
import java.util.stream.Stream;

/** Snaps drags in time to cuts, markers and the present frame that are near on the screen. */
final class Snapping {
    private static final double NEAR = 5;

    private Snapping() {}

    /**
     * The frame that a position snaps to; empty if none is near.
     *
     * @param own start frame of the drag, which is ignored
     */
    static Optional<Long> at(
            Project project, long playhead, TimeScale scale, double x, double offset, long own) {
        return Stream.concat(ShotEdits.catches(project).stream(), Stream.of(playhead))
                .filter(f -> f != own && Math.abs(scale.x(f + offset) - x) < NEAR)
                .min(Comparator.comparingDouble(f -> Math.abs(scale.x(f + offset) - x)));
    }
}
