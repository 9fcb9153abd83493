package ivrik.core.treatment;

import ivrik.core.picture.Size;
import ivrik.core.sampling.EdgeFill;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;

/** One kind of work on a lane or on a whole picture. Implementations are stateless. */
public sealed interface Treatment permits LaneTreatment, PictureTreatment {
    Description description();

    /**
     * Whether these settings change nothing at all; then the work is not done. As a rule that is so when
     * nothing of it is done, or when all parameters that drive it, and those of all its things, are at
     * rest.
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

    /** What lies outside the picture unless something else is chosen. */
    default EdgeFill usualEdgeFill() {
        return EdgeFill.REPEAT;
    }

    /** Whether it does its work by the picture that the step names. */
    default boolean needsPicture(Settings settings) {
        return description().is(Trait.PICTURE);
    }

    /** Whether it does its work by a table of colours that the step brings along. */
    default boolean needsTable(Settings settings) {
        return false;
    }

    /**
     * What is left of the part of a picture that nothing from outside it has reached. What does not move
     * or spread anything leaves it.
     *
     * @param size of the sequence
     */
    default ValidRegion covered(ValidRegion before, Settings settings, Size size) {
        return before;
    }

    /**
     * Where the size of the picture does not let it show what is set: a word on that, and on the next
     * setting that shows. Empty where all shows.
     *
     * @param size of the full-size sequence
     * @param scale pixels of the picture to one of the full-size sequence
     */
    default Optional<String> advice(Settings settings, Size size, double scale) {
        return Optional.empty();
    }
}
