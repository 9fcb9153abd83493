package ivrik.core.treatment;

import ivrik.core.UnknownNameException;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** All treatments, found by name. A new one is added to this list. */
public final class Treatments {
    private static final List<Treatment> ALL =
            List.of(
                    new Shift(),
                    new Scale(),
                    new Rotate(),
                    new Flip(),
                    new Tiles(),
                    new Lens(),
                    new Dispersion(),
                    new Displace(),
                    new Pins(),
                    new LineWobble(),
                    new GaussianBlur(),
                    new BoxBlur(),
                    new DiscBlur(),
                    new DirectionalBlur(),
                    new ZoomBlur(),
                    new SpinBlur(),
                    new Bandwidth(),
                    new SpreadLight(),
                    new UnsharpMask(),
                    new MinMax(),
                    new MedianFilter(),
                    new KernelFilter(),
                    new Gain(),
                    new Levels(),
                    new Curve(),
                    new Invert(),
                    new Halftone(),
                    new RollingBar(),
                    new Highlights(),
                    new Threshold(),
                    new Posterise(),
                    new Dither(),
                    new Grain(),
                    new AddedNoise(),
                    new Dropouts(),
                    new Dust(),
                    new Texture(),
                    new Mask(),
                    new Halation(),
                    new Phosphors(),
                    new Vignette(),
                    new ChannelMix(),
                    new GradientMap(),
                    new LookupTable(),
                    new CastOff(),
                    new BrokenBlocks(),
                    new LowResolution(),
                    new LinearLight(),
                    new Exposure(),
                    new Contrast(),
                    new SlopeOffsetPower(),
                    new PictureCurve(),
                    new LumaCurve(),
                    new HueCurve(),
                    new Saturation());

    private static final Map<String, Treatment> BY_NAME =
            ALL.stream().collect(Collectors.toMap(t -> t.description().id(), t -> t));

    private Treatments() {}

    public static List<Treatment> all() {
        return ALL;
    }

    /** Those of lanes. */
    public static List<LaneTreatment> ofLanes() {
        return ALL.stream()
                .filter(LaneTreatment.class::isInstance)
                .map(LaneTreatment.class::cast)
                .toList();
    }

    /** Those of whole pictures. */
    public static List<PictureTreatment> ofPictures() {
        return ALL.stream()
                .filter(PictureTreatment.class::isInstance)
                .map(PictureTreatment.class::cast)
                .toList();
    }

    /**
     * The treatment of this name.
     *
     * @throws UnknownNameException if there is none; it lists those there are
     */
    public static Treatment named(String id) {
        Treatment found = BY_NAME.get(id);
        return found != null
                ? found
                : UnknownNameException.find("treatment", id, ALL, t -> t.description().id());
    }
}
