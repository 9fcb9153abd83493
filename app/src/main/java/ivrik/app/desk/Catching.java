package ivrik.app.desk;

import ivrik.core.project.Project;
import ivrik.core.project.ShotEdits;

import java.util.Comparator;
import java.util.Optional;
import java.util.stream.Stream;

/** What is dragged in time catches on cuts, markers and the present frame that are near on the screen. */
final class Catching {
    private static final double NEAR = 5;

    private Catching() {}

    /**
     * The frame that a place catches on; empty where none is near.
     *
     * @param own where what is dragged stands, which it does not catch on
     */
    static Optional<Long> at(
            Project project, long playhead, TimeScale scale, double x, double offset, long own) {
        return Stream.concat(ShotEdits.catches(project).stream(), Stream.of(playhead))
                .filter(f -> f != own && Math.abs(scale.x(f + offset) - x) < NEAR)
                .min(Comparator.comparingDouble(f -> Math.abs(scale.x(f + offset) - x)));
    }
}
