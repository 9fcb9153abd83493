package ivrik.cli;

import ivrik.core.colour.ColourSpace;
import ivrik.core.motion.Rational;
import ivrik.core.project.Source;
import ivrik.core.project.Source.Reading;
import ivrik.media.decode.Import;

import picocli.CommandLine.ITypeConverter;
import picocli.CommandLine.Option;
import picocli.CommandLine.TypeConversionException;

import java.nio.file.Path;
import java.util.Optional;

/** How footage is read where there is a choice. */
final class InputOptions {
    @Option(
            names = "--rate",
            paramLabel = "FPS",
            converter = Rate.class,
            description = "Frames a second of a numbered sequence, such as 24 or 30000/1001.")
    Rational rate;

    @Option(
            names = "--layer",
            paramLabel = "NAME",
            description = "A layer of an OpenEXR picture; info lists them.")
    String layer;

    @Option(
            names = "--track",
            paramLabel = "N",
            description = "The sound track, by its number in the file; the main one if left out.")
    Integer track;

    @Option(
            names = "--as-delivered",
            description = "Leave colours as they are, whatever the file's tags say of them.")
    boolean delivered;

    @Option(
            names = "--taken-as",
            paramLabel = "SPACE",
            description =
                    "What the numbers of its colours mean, whatever its tags say: srgb, display-p3,"
                            + " bt2020, bt2100-pq or bt2100-hlg.")
    String space;

    Reading reading() {
        Reading reading =
                Reading.USUAL
                        .withDelivered(delivered)
                        .withSpace(Optional.ofNullable(space).map(ColourSpace::named));
        reading = layer == null ? reading : reading.withLayer(layer);
        return track == null ? reading : reading.withTrack(track);
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
                        "a rate looks like 24 or 30000/1001, not '" + text + "'");
            }
            throw new TypeConversionException(
                    "a rate lies over 0 and up to 1000, not '" + text + "'");
        }
    }
}
