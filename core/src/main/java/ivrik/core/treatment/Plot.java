package ivrik.core.treatment;

import java.util.Optional;
import java.util.function.DoubleUnaryOperator;

/** A treatment with a plot of output over input. */
public interface Plot {
    /** Output for input from 0 to 1 at full amount. */
    DoubleUnaryOperator plotted(Settings settings);

    /** Output without the treatment. */
    default double untouched(double in) {
        return in;
    }

    /** The editable points of the curve; empty for a curve defined by numbers. */
    default Optional<CurvePoints> points() {
        return Optional.empty();
    }
}
