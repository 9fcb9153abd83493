package ivrik.core.treatment;

import ivrik.core.filter.Convolution;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;

import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A custom 5x5 kernel: weighted sum of the neighbourhood, divided, plus an offset. With zeros outside the
 * central nine cells it is a 3x3 kernel.
 */
public final class ConvolutionKernel implements ChannelTreatment {
    /** Rows and columns. */
    public static final int SIDE = 5;

    private static final double MAX = 1000;
    private static final Description DESCRIPTION =
            Description.of(
                    "convolution-kernel",
                    "Convolution kernel",
                    "Convolves a channel with a 5×5 kernel, with divisor and offset.",
                    TreatmentGroup.DETAIL,
                    Control.GRID,
                    Stream.concat(
                                    IntStream.range(0, SIDE * SIDE)
                                            .mapToObj(ConvolutionKernel::cell),
                                    Stream.of(
                                            Parameter.of(
                                                            "divisor", "divisor", "", -MAX * 25,
                                                            MAX * 25, 1, 1)
                                                    .setting(),
                                            Parameter.percent("offset", "offset", -100, 100, 0)))
                            .toArray(Parameter[]::new));

    /** The name of a cell, by row-major index. */
    public static String name(int cell) {
        return "c" + cell / SIDE + cell % SIDE;
    }

    /** Default: 1 in the centre, 0 elsewhere; example: an emboss from the upper left. */
    private static Parameter cell(int i) {
        int row = i / SIDE - SIDE / 2;
        int column = i % SIDE - SIDE / 2;
        boolean inner = Math.abs(row) <= 1 && Math.abs(column) <= 1;
        double rest = row == 0 && column == 0 ? 1 : 0;
        double shown = inner ? rest + row + column : 0;
        return Parameter.of(name(i), "", "", -MAX, MAX, rest, 1).example(shown, rest);
    }

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public boolean isNeutral(Settings settings) {
        return settings.number("divisor") == 1 && ChannelTreatment.super.isNeutral(settings)
                || settings.amount() == 0;
    }

    @Override
    public Rows apply(Plane channel, Settings settings, Context context) {
        double divisor = settings.number("divisor") == 0 ? 1 : settings.number("divisor");
        float[] weights = new float[SIDE * SIDE];
        for (int i = 0; i < weights.length; i++) {
            weights[i] = (float) (settings.number(name(i)) / divisor);
        }
        float[] spaced =
                context.scale() == 1 ? weights : Convolution.spaced(weights, context.scale());
        return new Convolution(
                channel, spaced, (float) settings.share("offset"), settings.edgeFill());
    }
}
