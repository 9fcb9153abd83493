package ivrik.core.separation;

import ivrik.core.UnknownNameException;

import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * All separations, found by name. A new one is added to this list. Some take an argument after a
 * colon: {@code cmyk:0.6} (black generation), {@code trio:RRGGBB,RRGGBB,RRGGBB} (and {@code ,linear}
 * for linear light).
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
            Map.of("cmyk", Cmyk::of, "trio", Trio::of);

    private Separations() {}

    /** Those without an argument. */
    public static List<Separation> all() {
        return ALL;
    }

    /**
     * The separation of this name.
     *
     * @throws UnknownNameException if there is none; it lists those there are
     * @throws PlanarTrioException if it is a trio in one plane
     * @throws SeparationArgumentException if what follows the colon is not understood
     */
    public static Separation named(String id) {
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
