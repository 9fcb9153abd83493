package ivrik.core.look;

import ivrik.core.measure.Cast;
import ivrik.core.motion.Value;
import ivrik.core.treatment.CastOff;

/** A step with the cast that was measured. */
public final class MeasuredCast {
    private static final double PER_CENT = 100;

    private MeasuredCast() {}

    /** A step of {@link CastOff} that takes out what was measured. */
    public static Step with(Step step, Cast cast) {
        double[][] by = cast.correction();
        return step.withLane(
                0,
                amounts -> {
                    Amounts made = amounts;
                    for (int zone = 0; zone < Cast.ZONES; zone++) {
                        for (int c = 0; c < by[zone].length; c++) {
                            made =
                                    made.with(
                                            CastOff.parameter(zone, c),
                                            Value.of(
                                                    Math.clamp(
                                                            PER_CENT * by[zone][c],
                                                            -PER_CENT,
                                                            PER_CENT)));
                        }
                    }
                    return made;
                });
    }
}
