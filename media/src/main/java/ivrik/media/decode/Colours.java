package ivrik.media.decode;

import ivrik.core.colour.ColourSpace;
import ivrik.core.colour.Conversion;
import ivrik.core.colour.Primaries;
import ivrik.core.colour.Transfer;

import java.util.Optional;
import java.util.function.Function;

/**
 * What the numbers of a piece of footage mean, by its tags.
 *
 * @param word for the user, such as {@code BT.2020, PQ}
 * @param highRange whether it holds more than white
 * @param same the space in which it is already, if it is one of those
 * @param conversion to another space
 */
public record Colours(
        String word,
        boolean highRange,
        Optional<ColourSpace> same,
        Function<ColourSpace, Conversion> conversion) {
    /** BT.709 or sRGB, or nothing is said: then it is taken as that. */
    public static final Colours USUAL = of(ColourSpace.SRGB);

    static Colours of(ColourSpace space) {
        return new Colours(
                space.title(),
                space.isHighRange(),
                Optional.of(space),
                to -> Conversion.of(space.primaries(), space.transfer(), to));
    }

    /** Of primaries and a transfer function; one of the known spaces if these are its. */
    static Colours of(String word, Primaries primaries, Transfer transfer) {
        for (ColourSpace space : ColourSpace.values()) {
            if (space.primaries().equals(primaries) && space.transfer() == transfer) {
                return of(space);
            }
        }
        return new Colours(
                word,
                transfer == Transfer.PQ || transfer == Transfer.HLG,
                Optional.empty(),
                to -> Conversion.of(primaries, transfer, to));
    }

    /** What has to be done to its pictures; nothing if they are in the space already. */
    public Optional<Conversion> to(ColourSpace space) {
        return same.filter(space::equals).isPresent()
                ? Optional.empty()
                : Optional.of(conversion.apply(space));
    }
}
