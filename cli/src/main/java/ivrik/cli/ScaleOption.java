package ivrik.cli;

import picocli.CommandLine.ITypeConverter;
import picocli.CommandLine.Option;
import picocli.CommandLine.TypeConversionException;

/** Size of the rendering, shared by {@code render} and {@code farm}. */
final class ScaleOption {
    private static final double LARGEST = 8;

    @Option(
            names = "--scale",
            defaultValue = "1",
            converter = Checked.class,
            description = "Scale relative to the sequence size. Default: ${DEFAULT-VALUE}.")
    double value;

    static final class Checked implements ITypeConverter<Double> {
        @Override
        public Double convert(String text) {
            double value;
            try {
                value = Double.parseDouble(text);
            } catch (NumberFormatException e) {
                throw new TypeConversionException("a scale is a number, not '" + text + "'");
            }
            if (!(value > 0 && value <= LARGEST)) {
                throw new TypeConversionException("a scale must be above 0 and at most 8");
            }
            return value;
        }
    }
}
