package ivrik.cli;

import ivrik.core.colour.ColourSpace;
import ivrik.core.motion.Rational;
import ivrik.core.project.Source;
import ivrik.core.project.Source.FootageSettings;
import ivrik.media.decode.Import;

import picocli.CommandLine.ITypeConverter;
import picocli.CommandLine.Option;
import picocli.CommandLine.TypeConversionException;

import java.nio.file.Path;
import java.util.Optional;

/** Decoding options of footage. */
final class InputOptions {
    @Option(
            names = "--rate",
            paramLabel = "FPS",
            converter = Rate.class,
            description = "Frame rate of a numbered sequence in fps, such as 24 or 30000/1001.")
    Rational rate;

    @Option(
            names = "--layer",
            paramLabel = "NAME",
            description = "Layer of an OpenEXR image; 'ivrik info' lists them.")
    String layer;

    @Option(
            names = "--track",
            paramLabel = "N",
            description = "Number of the sound track in the file. Default: the main track.")
    Integer track;

    @Option(
            names = "--no-conversion",
            description = "Ignore the file's colour tags; do not convert colours.")
    boolean delivered;

    @Option(
            names = "--colour-space",
            paramLabel = "SPACE",
            description =
                    "Colour space of the input, in place of its tags: srgb, display-p3, bt2020,"
                            + " bt2100-pq or bt2100-hlg.")
    String space;

    FootageSettings reading() {
        FootageSettings reading =
                FootageSettings.AUTOMATIC
                        .withNoConversion(delivered)
                        .withColourSpace(Optional.ofNullable(space).map(ColourSpace::named));
        reading = layer == null ? reading : reading.withImageLayer(layer);
        return track == null ? reading : reading.withSoundTrack(track);
    }

    Source source(Path file) {
        Source source = Import.source(file, "source", reading());
        return rate == null || source.kind() != Source.Kind.SEQUENCE
                ? source
                : source.withRate(rate);
    }

    /** {@code 24} or {@code 30000/1001}. */
    static final class Rate implements ITypeConverter<Rational> {
        private static final Rational FASTEST = Rational.of(1000);

        @Override
        public Rational convert(String text) {
            try {
                Rational rate = Rational.parse(text);
                if (rate.num() > 0 && rate.compareTo(FASTEST) <= 0) {
                    return rate;
                }
            } catch (ArithmeticException | IllegalArgumentException e) {
                throw new TypeConversionException(
                        "expected a frame rate such as 24 or 30000/1001, not '" + text + "'");
            }
            throw new TypeConversionException(
                    "a frame rate must be above 0 and at most 1000, not '" + text + "'");
        }
    }
}
