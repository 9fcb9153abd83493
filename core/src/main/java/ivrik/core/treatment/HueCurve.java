package ivrik.core.treatment;

import ivrik.core.colour.Hue;
import ivrik.core.colour.Luma;
import ivrik.core.picture.ColourRows;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;

/**
 * Changes hue, saturation or luma by a curve over hue. Neutral greys stay: hue and saturation change around
 * BT.709 luma, and luma changes in proportion to {@code (max - min) / max}.
 */
public final class HueCurve implements PictureTreatment, Plot {
    private static final Option WHAT =
            new Option(
                    "affects",
                    "affects",
                    "What the curve changes: saturation, hue or luma",
                    "saturation",
                    "hue",
                    "luma");

    /** Change over hue. */
    public static final Series SERIES =
            new Series(
                    "point",
                    Parameter.of("in", "hue", "deg", 0, Hue.TURN, 0, 1).setting(),
                    Parameter.percent("out", "by", -100, 100, 0));

    private static final CurvePoints POINTS = new CurvePoints(SERIES, 0, Hue.TURN, -100, 100, true);

    /** Distance in degrees beyond which a point has no influence. */
    private static final double NEAR = 120;

    /** Largest hue rotation in degrees. */
    private static final double MAX_TURN = 60;

    private static final int PER_DEGREE = 4;
    private static final int STEPS = (int) Hue.TURN * PER_DEGREE;

    private static final Description DESCRIPTION =
            Description.of(
                            "hue-curve",
                            "Hue curve",
                            "Changes saturation, hue or luma by hue, with a curve.",
                            TreatmentGroup.WHOLE,
                            Control.PLOT)
                    .choosing(WHAT)
                    .listing(SERIES)
                    .with(Trait.POINTWISE, Trait.GRADES)
                    .called("hue against saturation", "selective colour");

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public boolean isNeutral(Settings settings) {
        for (int i = 0; i < settings.count(SERIES); i++) {
            if (settings.number(SERIES, i, "out") != 0) {
                return settings.amount() == 0;
            }
        }
        return true;
    }

    @Override
    public Optional<CurvePoints> points() {
        return Optional.of(POINTS);
    }

    @Override
    public double untouched(double v) {
        return 0.5;
    }

    @Override
    public DoubleUnaryOperator plotted(Settings settings) {
        DoubleUnaryOperator curve = curve(settings);
        return v -> 0.5 + curve.applyAsDouble(v * Hue.TURN) / 2;
    }

    /**
     * Curve from hue in degrees to -1..1: through each point with zero slope, 0 far from all points.
     */
    static DoubleUnaryOperator curve(Settings settings) {
        List<double[]> points = new ArrayList<>();
        for (int i = 0; i < settings.count(SERIES); i++) {
            points.add(
                    new double[] {
                        settings.number(SERIES, i, "in") % Hue.TURN,
                        settings.number(SERIES, i, "out") / 100
                    });
        }
        points.sort(Comparator.comparingDouble(p -> p[0]));
        return hue -> at(points, hue);
    }

    private static double at(List<double[]> points, double hue) {
        if (points.isEmpty()) {
            return 0;
        }
        double[] before = points.getLast();
        double from = before[0] - Hue.TURN;
        for (double[] after : points) {
            if (hue < after[0]) {
                return between(hue - from, before[1], after[0] - from, after[1]);
            }
            before = after;
            from = after[0];
        }
        return between(
                hue - from,
                before[1],
                points.getFirst()[0] + Hue.TURN - from,
                points.getFirst()[1]);
    }

    /** Interpolation between two points that are {@code gap} apart. */
    private static double between(double direction, double from, double gap, double to) {
        if (gap <= NEAR) {
            return from + (to - from) * eased(direction / gap);
        }
        return from * (1 - eased(2 * direction / NEAR))
                + to * (1 - eased(2 * (gap - direction) / NEAR));
    }

    private static double eased(double share) {
        double t = Math.clamp(share, 0, 1);
        return t * t * (3 - 2 * t);
    }

    @Override
    public ColourRows apply(ColourRows picture, Settings settings, PictureContext context) {
        DoubleUnaryOperator curve = curve(settings);
        Change change =
                switch (settings.choice(WHAT)) {
                    case "hue" -> new Turn(curve);
                    case "luma" -> new Brighten(table(curve));
                    default -> new Strengthen(table(curve));
                };
        return picture.then(
                (rgb, n) -> {
                    for (int i = 0; i < n; i++) {
                        double hue = Hue.degrees(rgb[0][i], rgb[1][i], rgb[2][i]);
                        double at = (hue + Hue.TURN) % Hue.TURN * PER_DEGREE;
                        int before = Math.min((int) at, STEPS - 1);
                        change.at(rgb, i, before, (float) (at - before));
                    }
                });
    }

    /** The curve as a table over fractions of a degree. */
    private static float[] table(DoubleUnaryOperator curve) {
        float[] table = new float[STEPS + 1];
        for (int i = 0; i <= STEPS; i++) {
            table[i] = (float) curve.applyAsDouble((double) i / PER_DEGREE % Hue.TURN);
        }
        return table;
    }

    private static float at(float[] table, int before, float part) {
        return table[before] + part * (table[before + 1] - table[before]);
    }

    /** Changes one pixel whose hue lies between two table entries. */
    private interface Change {
        void at(float[][] rgb, int i, int before, float part);
    }

    private record Strengthen(float[] table) implements Change {
        @Override
        public void at(float[][] rgb, int i, int before, float part) {
            float by = HueCurve.at(table, before, part);
            float luma = Luma.of(rgb[0][i], rgb[1][i], rgb[2][i]);
            for (float[] channel : rgb) {
                channel[i] += by * (channel[i] - luma);
            }
        }
    }

    private record Brighten(float[] table) implements Change {
        @Override
        public void at(float[][] rgb, int i, int before, float part) {
            float high = Math.max(rgb[0][i], Math.max(rgb[1][i], rgb[2][i]));
            float low = Math.min(rgb[0][i], Math.min(rgb[1][i], rgb[2][i]));
            float coloured = high <= 0 ? 0 : Math.min(1, (high - low) / high);
            float by = HueCurve.at(table, before, part) * coloured;
            for (float[] channel : rgb) {
                channel[i] += by * channel[i];
            }
        }
    }

    /** Rotates Cb and Cr like {@link Saturation}. */
    private record Turn(float[] cos, float[] sin) implements Change {
        Turn(DoubleUnaryOperator curve) {
            this(
                    table(h -> StrictMath.cos(angle(curve, h)) - 1),
                    table(h -> StrictMath.sin(angle(curve, h))));
        }

        private static double angle(DoubleUnaryOperator curve, double hue) {
            return Math.toRadians(MAX_TURN * curve.applyAsDouble(hue));
        }

        @Override
        public void at(float[][] rgb, int i, int before, float part) {
            float luma = Luma.of(rgb[0][i], rgb[1][i], rgb[2][i]);
            float c = HueCurve.at(cos, before, part);
            float s = HueCurve.at(sin, before, part);
            float cb = (rgb[2][i] - luma) / Luma.PER_CB;
            float cr = (rgb[0][i] - luma) / Luma.PER_CR;
            float red = Luma.PER_CR * (s * cb + c * cr);
            float blue = Luma.PER_CB * (c * cb - s * cr);
            rgb[0][i] += red;
            rgb[1][i] -= ((float) Luma.RED * red + (float) Luma.BLUE * blue) / (float) Luma.GREEN;
            rgb[2][i] += blue;
        }
    }
}
