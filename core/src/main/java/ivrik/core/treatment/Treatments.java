package ivrik.core.treatment;

import ivrik.core.UnknownNameException;

import java.util.List;

/** All treatments, found by name. A new one is added to this list. */
public final class Treatments {
    private static final List<Treatment> ALL =
            List.of(
                    new Shift(),
                    new Scale(),
                    new Rotate(),
                    new Flip(),
                    new Lens(),
                    new Dispersion(),
                    new Displace(),
                    new Pins(),
                    new GaussianBlur(),
                    new BoxBlur(),
                    new DiscBlur(),
                    new DirectionalBlur(),
                    new ZoomBlur(),
                    new SpinBlur(),
                    new UnsharpMask(),
                    new MinMax(),
                    new MedianFilter(),
                    new KernelFilter(),
                    new Gain(),
                    new Levels(),
                    new Curve(),
                    new Invert(),
                    new Threshold(),
                    new Posterise(),
                    new Grain(),
                    new AddedNoise(),
                    new Texture(),
                    new Mask());

    private Treatments() {}

    public static List<Treatment> all() {
        return ALL;
    }

    /**
     * The treatment of this name.
     *
     * @throws UnknownNameException if there is none; it lists those there are
     */
    public static Treatment named(String id) {
        return UnknownNameException.find("treatment", id, ALL, t -> t.description().id());
    }
}
