package ivrik.core.treatment;

import ivrik.core.colour.Transfer;
import ivrik.core.colour.TransferTable;
import ivrik.core.filter.MonotoneCurve;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;

/**
 * A monotone cubic curve through the user's points (Fritsch and Carlson 1980), extrapolated linearly. End
 * points at 0 and 100 % exist unless a point replaces them.
 */
public final class Curve implements Tone {
    /** Output over input, in per cent. */
    public static final Series SERIES =
            new Series(
                    "point",
                    Parameter.percent("in", "in", -100, 200, 0).setting(),
                    Parameter.percent("out", "out", -100, 200, 0));

    /** Points of a tone curve; the plot shows black to white. */
    static final CurvePoints POINTS = new CurvePoints(SERIES, 0, 100, 0, 100, false);

    private static final Description DESCRIPTION =
            Description.of(
                            "curve",
                            "Curve",
                            "Tone curve of a channel, drawn through points.",
                            TreatmentGroup.TONE,
                            Control.PLOT)
                    .listing(SERIES)
                    .with(Trait.POINTWISE, Trait.GRADES);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Optional<CurvePoints> points() {
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

    /** The curve through the points. */
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

    /** The curve as a table for whole rows, of gamma-encoded values or of linear light. */
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
