package ivrik.core.treatment;

import ivrik.core.UnknownNameException;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** All treatments, by name. A new treatment is added to this list. */
public final class Treatments {
    private static final List<Treatment> ALL =
            List.of(
                    new Shift(),
                    new Scale(),
                    new Rotate(),
                    new Flip(),
                    new TiledScroll(),
                    new LensDistortion(),
                    new Dispersion(),
                    new Displacement(),
                    new PinWarp(),
                    new TimeBaseError(),
                    new GaussianBlur(),
                    new BoxBlur(),
                    new DiscBlur(),
                    new DirectionalBlur(),
                    new ZoomBlur(),
                    new SpinBlur(),
                    new BandwidthLimit(),
                    new Bloom(),
                    new UnsharpMask(),
                    new MinimumMaximum(),
                    new MedianFilter(),
                    new ConvolutionKernel(),
                    new Gain(),
                    new Levels(),
                    new Curve(),
                    new Invert(),
                    new Halftone(),
                    new RollingBar(),
                    new BrightPass(),
                    new Threshold(),
                    new Posterise(),
                    new Dither(),
                    new Grain(),
                    new AddedNoise(),
                    new Dropouts(),
                    new Dust(),
                    new Texture(),
                    new ScreenPattern(),
                    new Halation(),
                    new PhosphorScreen(),
                    new Vignette(),
                    new ChannelMixer(),
                    new GradientMap(),
                    new LookupTable(),
                    new CastCorrection(),
                    new BlockCorruption(),
                    new Pixelate(),
                    new LinearLightConversion(),
                    new Exposure(),
                    new Contrast(),
                    new SlopeOffsetPower(),
                    new RgbCurves(),
                    new LumaCurve(),
                    new HueCurve(),
                    new Saturation());

    private static final Map<String, Treatment> BY_NAME =
            ALL.stream().collect(Collectors.toMap(t -> t.description().id(), t -> t));

    private Treatments() {}

    public static List<Treatment> all() {
        return ALL;
    }

    /** Channel treatments. */
    public static List<ChannelTreatment> ofChannels() {
        return ALL.stream()
                .filter(ChannelTreatment.class::isInstance)
                .map(ChannelTreatment.class::cast)
                .toList();
    }

    /** Whole-picture treatments. */
    public static List<PictureTreatment> ofPictures() {
        return ALL.stream()
                .filter(PictureTreatment.class::isInstance)
                .map(PictureTreatment.class::cast)
                .toList();
    }

    /**
     * The treatment of a name.
     *
     * @throws UnknownNameException if there is none; the message lists all
     */
    public static Treatment named(String id) {
        Treatment found = BY_NAME.get(id);
        return found != null
                ? found
                : UnknownNameException.find("treatment", id, ALL, t -> t.description().id());
    }
}
