package ivrik.core.look;

import ivrik.core.measure.ColourCast;
import ivrik.core.motion.Value;
import ivrik.core.treatment.CastCorrection;

/** Applies a measured colour cast to a step. */
public final class MeasuredColourCast {
    private static final double PER_CENT = 100;

    private MeasuredColourCast() {}

    /** The {@link CastCorrection} step with the values that correct the cast. */
    public static Step with(Step step, ColourCast colourCast) {
        double[][] by = colourCast.correction();
        return step.withChannel(
                0,
                settings -> {
                    ChannelSettings made = settings;
                    for (int zone = 0; zone < ColourCast.ZONES; zone++) {
                        for (int c = 0; c < by[zone].length; c++) {
                            made =
                                    made.with(
                                            CastCorrection.parameter(zone, c),
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
