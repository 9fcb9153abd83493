package ivrik.core.treatment;

import java.util.Optional;
import java.util.function.DoubleUnaryOperator;

/** A treatment that can be drawn as what comes out for what goes in. */
public interface Plot {
    /** What comes out for what goes in, from 0 to 1, where all of it is done. */
    DoubleUnaryOperator plotted(Settings settings);

    /** What comes out where nothing is done. */
    default double untouched(double in) {
        return in;
    }

    /** The points that its curve goes through; empty where numbers make it. */
    default Optional<Points> points() {
        return Optional.empty();
    }
}
