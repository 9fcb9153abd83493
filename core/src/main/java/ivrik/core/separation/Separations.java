package ivrik.core.separation;

import ivrik.core.UnknownNameException;

import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * All colour models, by name. A new model is added to this list. Some take an argument after a colon:
 * {@code cmyk:0.6} (black generation), {@code primaries:RRGGBB,RRGGBB,RRGGBB} (with {@code ,linear} in linear
 * light).
 */
public final class Separations {
    private static final List<Separation> ALL =
            List.of(
                    new Rgb(),
                    new Cmy(),
                    new Cmyk(1),
                    LumaChroma.bt601(),
                    LumaChroma.bt709(),
                    LumaChroma.bt2020(),
                    LumaChroma.yCoCg(),
                    Stimuli.xyz(),
                    Stimuli.lms(),
                    Perceptual.lab(),
                    Perceptual.oklab(),
                    new Hsv());

    private static final Map<String, Separation> BY_NAME =
            ALL.stream().collect(Collectors.toMap(Separation::id, each -> each));

    private static final Map<String, Function<String, Separation>> WITH_ARGUMENT =
            Map.of("cmyk", Cmyk::of, "primaries", CustomPrimaries::of);

    private static final String CUSTOM = "primaries:";

    /** Name of custom primaries in version 2. */
    private static final String FORMER_CUSTOM = "trio:";

    private Separations() {}

    /** Models without an argument. */
    public static List<Separation> all() {
        return ALL;
    }

    /**
     * The model of a name.
     *
     * @throws UnknownNameException if there is none; the message lists all
     * @throws PlanarPrimariesException if custom primaries are coplanar
     * @throws SeparationArgumentException if the argument is invalid
     */
    public static Separation named(String id) {
        if (id.startsWith(FORMER_CUSTOM)) {
            String present = CUSTOM + id.substring(FORMER_CUSTOM.length());
            throw UnknownNameException.renamed("separation", id, present);
        }
        int colon = id.indexOf(':');
        Function<String, Separation> make =
                colon < 0 ? null : WITH_ARGUMENT.get(id.substring(0, colon));
        if (make == null) {
            Separation found = BY_NAME.get(id);
            return found != null
                    ? found
                    : UnknownNameException.find("separation", id, ALL, Separation::id);
        }
        try {
            return make.apply(id.substring(colon + 1));
        } catch (IllegalArgumentException e) {
            throw new SeparationArgumentException(id, e);
        }
    }
}
