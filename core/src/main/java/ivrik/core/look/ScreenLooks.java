package ivrik.core.look;

import static ivrik.core.look.DialLinks.allChannels;
import static ivrik.core.look.DialLinks.channels;
import static ivrik.core.look.DialLinks.choice;
import static ivrik.core.look.DialLinks.dial;
import static ivrik.core.look.DialLinks.share;
import static ivrik.core.look.DialLinks.times;
import static ivrik.core.look.DialLinks.whole;

import ivrik.core.motion.Value;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;
import ivrik.core.separation.Rgb;
import ivrik.core.separation.Separation;
import ivrik.core.separation.Separations;
import ivrik.core.treatment.AddedNoise;
import ivrik.core.treatment.BandwidthLimit;
import ivrik.core.treatment.Dropouts;
import ivrik.core.treatment.GaussianBlur;
import ivrik.core.treatment.Halation;
import ivrik.core.treatment.LensDistortion;
import ivrik.core.treatment.PhosphorScreen;
import ivrik.core.treatment.Pixelate;
import ivrik.core.treatment.RollingBar;
import ivrik.core.treatment.Shift;
import ivrik.core.treatment.TimeBaseError;

import java.util.List;

/** Built-in looks of tapes and screens. */
final class ScreenLooks {
    private static final Separation VIDEO = Separations.named("ycbcr-601");
    private static final double ALL_LINES = 4000;

    private ScreenLooks() {}

    static List<BuiltInLook> all() {
        return List.of(
                BuiltInLook.of(
                        LookGroup.SCREEN,
                        "Videotape",
                        tape(),
                        "video",
                        "cassette",
                        "analogue",
                        "noise",
                        "chroma",
                        "dropouts"),
                BuiltInLook.of(
                        LookGroup.SCREEN,
                        "CRT screen",
                        tube(),
                        "crt",
                        "monitor",
                        "television",
                        "scanlines",
                        "phosphor",
                        "mask"),
                BuiltInLook.of(
                        LookGroup.SCREEN,
                        "Low resolution",
                        lowRes(),
                        "pixels",
                        "palette",
                        "dither",
                        "mosaic",
                        "dot matrix",
                        "retro"));
    }

    /** Separates into luma and colour difference. Wear adds to all other effects. */
    private static Look tape() {
        return Look.atRest(
                        "videotape",
                        VIDEO,
                        new AddedNoise(),
                        new BandwidthLimit(),
                        new Shift(),
                        new TimeBaseError(),
                        new Dropouts())
                .withNote(
                        "Worn videotape: limited bandwidth, chroma delay and bleed, noise,"
                                + " time-base error, head switching and dropouts.")
                .withDials(
                        List.of(
                                share("wear", "Wear", 0.3, wear()),
                                dial(
                                        "lines",
                                        "Luma resolution, TV lines",
                                        "",
                                        10,
                                        ALL_LINES,
                                        ALL_LINES,
                                        300,
                                        channels("bandwidth-limit-1", "resolution", 1)),
                                dial(
                                        "chroma-lines",
                                        "Chroma resolution, TV lines",
                                        "",
                                        10,
                                        ALL_LINES,
                                        ALL_LINES,
                                        60,
                                        channels("bandwidth-limit-1", "resolution", 0, 1, 1)),
                                dial(
                                        "chroma-delay",
                                        "Chroma delay",
                                        "px",
                                        -200,
                                        200,
                                        0,
                                        3,
                                        channels("shift-1", "x", 0, 1, 1)),
                                share(
                                        "ringing",
                                        "Ringing",
                                        0.2,
                                        channels("bandwidth-limit-1", "ringing", 100)),
                                share(
                                        "noise",
                                        "Noise",
                                        0.15,
                                        channels("noise-1", "strength", 40, 60, 60)),
                                dial(
                                        "wobble",
                                        "Time-base error",
                                        "px",
                                        0,
                                        200,
                                        0,
                                        1.2,
                                        allChannels("time-base-error-1", "line-jitter", 1)),
                                dial(
                                        "tear",
                                        "Head switching",
                                        "px",
                                        -1000,
                                        1000,
                                        0,
                                        24,
                                        allChannels("time-base-error-1", "head-switching", 1)),
                                dial(
                                        "dropouts",
                                        "Dropouts",
                                        "per frame",
                                        0,
                                        200,
                                        0,
                                        1,
                                        allChannels("dropouts-1", "rate", 1)),
                                dial(
                                        "generations",
                                        "Generations",
                                        "",
                                        1,
                                        12,
                                        1,
                                        1,
                                        DialLinks.all(
                                                allChannels("bandwidth-limit-1", "generations", 1),
                                                channels("noise-1", "strength", 1.5, 2.5, 2.5),
                                                channels("shift-1", "x", 0, 1, 1)))));
    }

    private static List<Dial.Link> wear() {
        return DialLinks.all(
                channels("bandwidth-limit-1", "resolution", -120, -25, -25),
                channels("bandwidth-limit-1", "ringing", 40),
                channels("noise-1", "strength", 14, 24, 24),
                channels("shift-1", "x", 0, 5, 5),
                allChannels("time-base-error-1", "line-jitter", 7),
                allChannels("time-base-error-1", "head-switching", 80),
                allChannels("dropouts-1", "rate", 16));
    }

    /**
     * The curvature of the glass and the misconvergence of the beams are one mapping per channel.
     */
    private static Look tube() {
        Step bar = Step.atRest("rolling-bar-1", new RollingBar(), Section.FINISH, 3);
        return Look.atRest(
                        "crt",
                        new Rgb(),
                        new LensDistortion(),
                        new Halation(),
                        new PhosphorScreen())
                .withStepAdded(bar)
                .withStep(
                        "lens-distortion-1",
                        s -> s.withEdgeFill(EdgeFill.EMPTY).withSampler(Sampler.LINEAR))
                .withStep("halation-1", s -> s.withChannel(0, ScreenLooks::bloom))
                .withNote(
                        "Cathode-ray tube: phosphor mask and scanlines with brightness"
                            + " compensation, bloom, curvature, misconvergence and a rolling bar.")
                .withDials(
                        List.of(
                                share(
                                        "strength",
                                        "Phosphor mask strength",
                                        0.8,
                                        whole("phosphor-screen-1", "mask-strength", 100)),
                                Dial.choice(
                                        "mask",
                                        "Phosphor mask",
                                        choice("phosphor-screen-1", "phosphor-mask"),
                                        "aperture-grille",
                                        "slot-mask",
                                        "shadow-mask",
                                        "custom-image"),
                                dial(
                                        "pitch",
                                        "Pitch",
                                        "px",
                                        1,
                                        400,
                                        6,
                                        6,
                                        whole("phosphor-screen-1", "pitch", 1)),
                                share(
                                        "dark",
                                        "Scanline depth",
                                        0.6,
                                        whole("phosphor-screen-1", "scanline-depth", 100)),
                                dial(
                                        "scan",
                                        "Scanlines",
                                        "",
                                        10,
                                        4320,
                                        240,
                                        240,
                                        whole("phosphor-screen-1", "scanlines", 1)),
                                dial(
                                        "beam",
                                        "Beam width",
                                        "",
                                        0.1,
                                        1,
                                        0.45,
                                        0.45,
                                        whole("phosphor-screen-1", "beam", 100)),
                                share("bloom", "Bloom", 0.3, whole("halation-1", "strength", 100)),
                                dial(
                                        "curve",
                                        "Curvature",
                                        "",
                                        0,
                                        0.3,
                                        0,
                                        0.05,
                                        DialLinks.all(
                                                allChannels("lens-distortion-1", "k1", -100),
                                                whole("phosphor-screen-1", "curvature", 100))),
                                dial(
                                        "misconvergence",
                                        "Misconvergence at corner",
                                        "%",
                                        -5,
                                        5,
                                        0,
                                        0.12,
                                        channels("lens-distortion-1", "k0", 1, 0, -1)),
                                dial(
                                        "decay",
                                        "Phosphor persistence per frame",
                                        "%",
                                        0,
                                        ChannelSourceParameters.MAX_TRAIL_PERCENT,
                                        0,
                                        0,
                                        times(ChannelSourceParameters.TRAIL, 0.85, 1, 0.7)),
                                share(
                                        "roll",
                                        "Rolling bar",
                                        0.08,
                                        whole("rolling-bar-1", "strength", -100)),
                                Dial.choice(
                                        "brightness",
                                        "Brightness compensation",
                                        choice("phosphor-screen-1", "compensation"),
                                        "on",
                                        "off")));
    }

    /** A bloom on highlights. */
    private static ChannelSettings bloom(ChannelSettings settings) {
        return settings.with("threshold", Value.of(0.5))
                .with("radius", Value.of(14))
                .with("fall", Value.ZERO)
                .with("green", Value.of(100))
                .with("blue", Value.of(100))
                .with("tail", Value.ZERO);
    }

    private static Look lowRes() {
        return Look.atRest("low-res", VIDEO, new GaussianBlur(), new Pixelate())
                .withStep("pixelate-1", s -> s.withChoices(java.util.Map.of("shape", "dots")))
                .withStep("gaussian-1", ScreenLooks::acrossOnly)
                .withNote(
                        "Large pixels, a small dithered palette and colour bleed; or a dot-matrix"
                                + " display.")
                .withDials(
                        List.of(
                                dial(
                                        "pixels",
                                        "Horizontal pixels",
                                        "",
                                        0,
                                        3840,
                                        0,
                                        200,
                                        whole("pixelate-1", "pixels", 1)),
                                Dial.choice(
                                        "palette",
                                        "Palette",
                                        choice("pixelate-1", "palette"),
                                        "uniform-rgb",
                                        "hues",
                                        "greys",
                                        "amber",
                                        "green"),
                                dial(
                                        "colours",
                                        "Colours",
                                        "",
                                        0,
                                        256,
                                        0,
                                        64,
                                        whole("pixelate-1", "colours", 1)),
                                dial(
                                        "dither",
                                        "Dither",
                                        "",
                                        0,
                                        2,
                                        1,
                                        0.7,
                                        whole("pixelate-1", "dither", 100)),
                                dial(
                                        "bleed",
                                        "Chroma bleed",
                                        "px",
                                        0,
                                        200,
                                        0,
                                        10,
                                        channels("gaussian-1", "radius", 0, 1, 1)),
                                dial(
                                        "dots",
                                        "Pixel gap",
                                        "",
                                        0,
                                        0.9,
                                        0,
                                        0,
                                        whole("pixelate-1", "gap", 100))));
    }

    private static Step acrossOnly(Step step) {
        Step across = step;
        for (int channel = 0; channel < step.channels().size(); channel++) {
            across = across.withChannel(channel, a -> a.with("down", Value.ZERO));
        }
        return across;
    }
}
