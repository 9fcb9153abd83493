package ivrik.core.treatment;

import ivrik.core.colour.Transfer;
import ivrik.core.colour.TransferTable;
import ivrik.core.filter.MonotoneCurve;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;

/**
 * A curve through points that the user sets. Between them it never turns where they do not (Fritsch and
 * Carlson 1980); beyond the outermost it goes on straight. The ends, 0 to 0 and 100 to 100 %, are there
 * unless a point stands in their place.
 */
public final class Curve implements Tone {
    /** What comes out for what goes in, in per cent. */
    public static final Series SERIES =
            new Series(
                    "point",
                    Parameter.percent("in", "in", -100, 200, 0).setting(),
                    Parameter.percent("out", "out", -100, 200, 0));

    /** Those of a curve of tones: its plot shows black to white. */
    static final Points POINTS = new Points(SERIES, 0, 100, 0, 100, false);

    private static final Description DESCRIPTION =
            Description.of(
                            "curve",
                            "Curve",
                            "Changes what comes out for what goes in by a curve through points.",
                            Group.TONE,
                            Control.PLOT)
                    .listing(SERIES)
                    .with(Trait.POINTWISE);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Optional<Points> points() {
        return Optional.of(POINTS);
    }

    @Override
    public boolean isNeutral(Settings settings) {
        return isNeutralCurve(settings);
    }

    static boolean isNeutralCurve(Settings settings) {
        for (int i = 0; i < settings.count(SERIES); i++) {
            if (settings.number(SERIES, i, "in") != settings.number(SERIES, i, "out")) {
                return settings.amount() == 0;
            }
        }
        return true;
    }

    @Override
    public Tone.Curve curve(Settings settings, float low, float high) {
        MonotoneCurve curve = through(settings);
        double span = high - low;
        return v -> (float) (low + span * curve.at((v - low) / span));
    }

    /** The curve through the points that are set. */
    static MonotoneCurve through(Settings settings) {
        List<double[]> points = new ArrayList<>();
        for (int i = 0; i < settings.count(SERIES); i++) {
            points.add(
                    new double[] {
                        settings.number(SERIES, i, "in") / 100,
                        settings.number(SERIES, i, "out") / 100
                    });
        }
        return MonotoneCurve.through(points);
    }

    /** The same for whole rows, of values as they are delivered or of their light. */
    static TransferTable table(Settings settings, Transfer transfer) {
        return TransferTable.kept(new Bent(through(settings), transfer));
    }

    private record Bent(MonotoneCurve curve, Transfer transfer) implements DoubleUnaryOperator {
        @Override
        public double applyAsDouble(double v) {
            return transfer.fromLinear(curve.at(transfer.toLinear(v)));
        }
    }
}
