package ivrik.core.treatment;

import ivrik.core.picture.Size;
import ivrik.core.sampling.EdgeFill;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;

/** A kind of treatment of a channel or a whole picture. Implementations are stateless. */
public sealed interface Treatment permits ChannelTreatment, PictureTreatment {
    Description description();

    /**
     * Whether these settings have no effect; the treatment is then skipped. By default: the amount is 0, or
     * all driving parameters, including those of list items, are at their defaults.
     */
    default boolean isNeutral(Settings settings) {
        Description d = description();
        return settings.amount() == 0
                || areAtRest(d.parameters(), settings, p -> p)
                        && d.series().stream().allMatch(s -> areAtRest(s, settings));
    }

    private static boolean areAtRest(Series series, Settings settings) {
        return IntStream.range(0, settings.count(series))
                .allMatch(i -> areAtRest(series.parameters(), settings, p -> series.address(i, p)));
    }

    private static boolean areAtRest(
            List<Parameter> parameters, Settings settings, UnaryOperator<String> address) {
        return parameters.stream()
                .filter(Parameter::drives)
                .allMatch(p -> settings.number(address.apply(p.name())) == p.rest());
    }

    /** The default edge fill. */
    default EdgeFill usualEdgeFill() {
        return EdgeFill.REPEAT;
    }

    /** Whether the treatment uses the step's picture. */
    default boolean needsPicture(Settings settings) {
        return description().is(Trait.PICTURE);
    }

    /** Whether the treatment uses the step's own colour table. */
    default boolean needsTable(Settings settings) {
        return false;
    }

    /**
     * The part of a picture that nothing from outside has reached after the treatment. Unchanged unless the
     * treatment moves or spreads the picture.
     *
     * @param size size of the sequence
     */
    default ValidRegion covered(ValidRegion before, Settings settings, Size size) {
        return before;
    }

    /**
     * A message if the rendered size cannot show the settings, with the next setting that it can; empty
     * otherwise.
     *
     * @param size full size of the sequence
     * @param scale rendered pixels per pixel of the full-size sequence
     */
    default Optional<String> advice(Settings settings, Size size, double scale) {
        return Optional.empty();
    }
}
