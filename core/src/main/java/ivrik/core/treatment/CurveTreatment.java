package ivrik.core.treatment;

import java.util.Optional;
import java.util.function.DoubleUnaryOperator;

/** A whole-picture treatment by a {@link Curve}. */
interface CurveTreatment extends PictureTreatment, Plot {
    @Override
    default boolean isNeutral(Settings settings) {
        return Curve.isNeutralCurve(settings);
    }

    @Override
    default Optional<CurvePoints> points() {
        return Optional.of(Curve.POINTS);
    }

    @Override
    default DoubleUnaryOperator plotted(Settings settings) {
        return Curve.through(settings)::at;
    }
}
