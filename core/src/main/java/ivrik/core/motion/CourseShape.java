package ivrik.core.motion;

import java.util.List;
import java.util.Optional;

/** Good beginnings for a burst, to be shaped by hand. */
public enum CourseShape {
    STEPS("Three steps", Hill.even(6, 3)),
    MORE_STEPS("Six steps", Hill.even(24, 6)),
    HIT("Hit and fade", hill(List.of(), List.of(new Phase(8, 0.6)), true)),
    SWELL("Swell", hill(List.of(new Phase(12, 11 / 12.0)), null, true)),
    STUTTER(
            "Stutter",
            hill(
                    List.of(new Phase(2, 0.5), new Phase(1, 0), new Phase(2, 0.8), new Phase(1, 0)),
                    null,
                    false)),
    SWING(
            "To and fro",
            hill(List.of(new Phase(2, 0.3), new Phase(2, -0.5), new Phase(2, 0.7)), null, false)),
    FLASH("One frame", Hill.even(0, 0)),
    SWIPE("Swipe, for good", new Swipe(6, 6, Ease.SMOOTH, false)),
    RUSH("Speed of a swipe", new Swipe(6, 6, Ease.SMOOTH, true));

    private final String title;
    private final Course course;

    CourseShape(String title, Course course) {
        this.title = title;
        this.course = course;
    }

    private static Hill hill(List<Phase> in, List<Phase> out, boolean ramps) {
        return new Hill(in, 1, Optional.ofNullable(out), ramps);
    }

    public Course course() {
        return course;
    }

    @Override
    public String toString() {
        return title;
    }
}
