package ivrik.core.treatment;

import ivrik.core.colour.Luma;
import ivrik.core.colour.TransferTable;
import ivrik.core.picture.ColourRows;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;

/**
 * The primary correction of the ASC Color Decision List, version 1.2: (v slope + offset)^power in each
 * channel, then saturation around BT.709 luma. Nothing is clamped; the power is not applied to negative
 * values.
 */
public final class SlopeOffsetPower implements PictureTreatment {
    private static final List<String> CHANNELS = List.of("red", "green", "blue");

    /** Example settings: slightly warmer, with softer shadows. */
    private static final double[] SHOWN_SLOPE = {1.12, 1.02, 0.9};

    private static final double SHOWN_POWER = 0.9;

    private static final Description DESCRIPTION =
            Description.of(
                            "slope-offset-power",
                            "Slope, offset, power",
                            "Primary correction of an ASC colour decision list (CDL): slope,"
                                    + " offset, power and saturation.",
                            TreatmentGroup.WHOLE,
                            Control.RULER,
                            parameters())
                    .with(Trait.POINTWISE, Trait.GRADES)
                    .called("cdl", "colour decision list", "lift gamma gain", "grade", "primary");

    private static Parameter[] parameters() {
        List<Parameter> all = new ArrayList<>();
        for (int c = 0; c < CHANNELS.size(); c++) {
            String channel = CHANNELS.get(c);
            all.add(
                    Parameter.of("slope-" + channel, "slope " + channel, "", 0, 10, 1, 0.01)
                            .example(SHOWN_SLOPE[c], SHOWN_SLOPE[c]));
        }
        for (String channel : CHANNELS) {
            all.add(Parameter.of("offset-" + channel, "offset " + channel, "", -1, 1, 0, 0.005));
        }
        for (String channel : CHANNELS) {
            all.add(
                    Parameter.of("power-" + channel, "power " + channel, "", 0.05, 10, 1, 0.01)
                            .example(SHOWN_POWER, SHOWN_POWER));
        }
        all.add(Parameter.of("saturation", "saturation", "", 0, 4, 1, 0.01));
        return all.toArray(Parameter[]::new);
    }

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    /** Power of positive values. */
    private record Power(double power) implements DoubleUnaryOperator {
        @Override
        public double applyAsDouble(double v) {
            return v > 0 ? StrictMath.pow(v, power) : v;
        }
    }

    /** Operations on one channel. */
    private record Channel(float slope, float offset, Optional<TransferTable> power) {
        static Channel of(Settings settings, String channel) {
            double power = settings.number("power-" + channel);
            return new Channel(
                    (float) settings.number("slope-" + channel),
                    (float) settings.number("offset-" + channel),
                    power == 1
                            ? Optional.empty()
                            : Optional.of(TransferTable.kept(new Power(power))));
        }

        void row(float[] values, int n) {
            for (int i = 0; i < n; i++) {
                values[i] = values[i] * slope + offset;
            }
            power.ifPresent(p -> p.apply(values, n));
        }
    }

    @Override
    public ColourRows apply(ColourRows picture, Settings settings, PictureContext context) {
        List<Channel> channels = CHANNELS.stream().map(c -> Channel.of(settings, c)).toList();
        float saturation = (float) settings.number("saturation");
        int width = picture.width();
        return picture.thenBy(
                () -> {
                    float[] luma = new float[width];
                    return (rgb, n) -> {
                        for (int c = 0; c < channels.size(); c++) {
                            channels.get(c).row(rgb[c], n);
                        }
                        if (saturation != 1) {
                            Luma.row(rgb, luma, n);
                            for (float[] channel : rgb) {
                                Saturation.spread(luma, channel, saturation, n);
                            }
                        }
                    };
                });
    }
}
