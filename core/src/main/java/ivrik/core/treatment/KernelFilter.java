package ivrik.core.treatment;

import ivrik.core.filter.Convolution;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;

import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Any 5x5 kernel of one's own: the samples about each, weighted, divided, and an offset added. What is
 * left 0 outside the middle nine is a 3x3 kernel.
 */
public final class KernelFilter implements LaneTreatment {
    /** Rows and columns. */
    public static final int SIDE = 5;

    private static final double MOST = 1000;
    private static final Description DESCRIPTION =
            Description.of(
                    "kernel",
                    "Kernel",
                    "Weighs the pixels about each by a grid of numbers of your own.",
                    Group.DETAIL,
                    Control.GRID,
                    Stream.concat(
                                    IntStream.range(0, SIDE * SIDE).mapToObj(KernelFilter::cell),
                                    Stream.of(
                                            Parameter.of(
                                                            "divisor",
                                                            "divisor",
                                                            "",
                                                            -MOST * 25,
                                                            MOST * 25,
                                                            1,
                                                            1)
                                                    .setting(),
                                            Parameter.percent("offset", "offset", -100, 100, 0)))
                            .toArray(Parameter[]::new));

    /** The name of a cell, counted row by row. */
    public static String name(int cell) {
        return "c" + cell / SIDE + cell % SIDE;
    }

    /** At rest the middle is 1 and all others 0; shown off, a relief from the upper left. */
    private static Parameter cell(int i) {
        int row = i / SIDE - SIDE / 2;
        int column = i % SIDE - SIDE / 2;
        boolean inner = Math.abs(row) <= 1 && Math.abs(column) <= 1;
        double rest = row == 0 && column == 0 ? 1 : 0;
        double shown = inner ? rest + row + column : 0;
        return Parameter.of(name(i), "", "", -MOST, MOST, rest, 1).shown(shown, rest);
    }

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public boolean isNeutral(Settings settings) {
        return settings.number("divisor") == 1 && LaneTreatment.super.isNeutral(settings)
                || settings.amount() == 0;
    }

    @Override
    public Rows apply(Plane lane, Settings settings, Context context) {
        double divisor = settings.number("divisor") == 0 ? 1 : settings.number("divisor");
        float[] weights = new float[SIDE * SIDE];
        for (int i = 0; i < weights.length; i++) {
            weights[i] = (float) (settings.number(name(i)) / divisor);
        }
        float[] spaced =
                context.scale() == 1 ? weights : Convolution.spaced(weights, context.scale());
        return new Convolution(lane, spaced, (float) settings.share("offset"), settings.edgeFill());
    }
}
