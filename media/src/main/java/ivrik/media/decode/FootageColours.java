package ivrik.media.decode;

import ivrik.core.colour.ColourConversion;
import ivrik.core.colour.ColourSpace;
import ivrik.core.colour.Primaries;
import ivrik.core.colour.Transfer;

import java.util.Optional;
import java.util.function.Function;

/**
 * Colour interpretation of footage.
 *
 * @param text description, such as {@code BT.2020, PQ}
 * @param highRange whether values exceed white
 * @param same the equal sequence colour space, if there is one
 * @param conversion conversion to another colour space
 */
public record FootageColours(
        String text,
        boolean highRange,
        Optional<ColourSpace> same,
        Function<ColourSpace, ColourConversion> conversion) {
    /** The default for untagged footage and BT.709 or sRGB tags. */
    public static final FootageColours USUAL = of(ColourSpace.SRGB);

    static FootageColours of(ColourSpace space) {
        return new FootageColours(
                space.title(),
                space.isHighRange(),
                Optional.of(space),
                to -> ColourConversion.of(space.primaries(), space.transfer(), to));
    }

    /**
     * Interpretation by primaries and transfer function; a known colour space if they match one.
     */
    static FootageColours of(String name, Primaries primaries, Transfer transfer) {
        for (ColourSpace space : ColourSpace.values()) {
            if (space.primaries().equals(primaries) && space.transfer() == transfer) {
                return of(space);
            }
        }
        return new FootageColours(
                name,
                transfer == Transfer.PQ || transfer == Transfer.HLG,
                Optional.empty(),
                to -> ColourConversion.of(primaries, transfer, to));
    }

    /** The conversion to a colour space; empty if none is needed. */
    public Optional<ColourConversion> to(ColourSpace space) {
        return same.filter(space::equals).isPresent()
                ? Optional.empty()
                : Optional.of(conversion.apply(space));
    }
}
