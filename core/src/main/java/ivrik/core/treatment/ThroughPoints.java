package ivrik.core.treatment;

import java.util.Optional;
import java.util.function.DoubleUnaryOperator;

/** A treatment of whole pictures by a {@link Curve} through points. */
interface ThroughPoints extends PictureTreatment, Plot {
    @Override
    default boolean isNeutral(Settings settings) {
        return Curve.isNeutralCurve(settings);
    }

    @Override
    default Optional<Points> points() {
        return Optional.of(Curve.POINTS);
    }

    @Override
    default DoubleUnaryOperator plotted(Settings settings) {
        return Curve.through(settings)::at;
    }
}
