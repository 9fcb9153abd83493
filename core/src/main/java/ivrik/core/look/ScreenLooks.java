package ivrik.core.look;

import static ivrik.core.look.Links.alike;
import static ivrik.core.look.Links.dial;
import static ivrik.core.look.Links.lanes;
import static ivrik.core.look.Links.share;
import static ivrik.core.look.Links.times;
import static ivrik.core.look.Links.whole;
import static ivrik.core.look.Links.word;

import ivrik.core.motion.Value;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;
import ivrik.core.separation.Rgb;
import ivrik.core.separation.Separation;
import ivrik.core.separation.Separations;
import ivrik.core.treatment.AddedNoise;
import ivrik.core.treatment.Bandwidth;
import ivrik.core.treatment.Dropouts;
import ivrik.core.treatment.GaussianBlur;
import ivrik.core.treatment.Halation;
import ivrik.core.treatment.Lens;
import ivrik.core.treatment.LineWobble;
import ivrik.core.treatment.LowResolution;
import ivrik.core.treatment.Phosphors;
import ivrik.core.treatment.RollingBar;
import ivrik.core.treatment.Shift;

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
                        "Tape",
                        tape(),
                        "video",
                        "cassette",
                        "analogue",
                        "noise",
                        "chroma",
                        "dropouts"),
                BuiltInLook.of(
                        LookGroup.SCREEN,
                        "Tube",
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

    /** In luma and colour difference. Wear adds to everything else. */
    private static Look tape() {
        return Look.atRest(
                        "tape",
                        VIDEO,
                        new AddedNoise(),
                        new Bandwidth(),
                        new Shift(),
                        new LineWobble(),
                        new Dropouts())
                .withNote(
                        "A worn tape: soft lines, colour that runs late and bleeds, noise, wobble,"
                                + " torn last lines and dropouts.")
                .withDials(
                        List.of(
                                share("wear", "Wear", 0.3, wear()),
                                dial(
                                        "lines",
                                        "Lines",
                                        "",
                                        10,
                                        ALL_LINES,
                                        ALL_LINES,
                                        300,
                                        lanes("bandwidth-1", "lines", 1)),
                                dial(
                                        "chroma-lines",
                                        "Lines of colour",
                                        "",
                                        10,
                                        ALL_LINES,
                                        ALL_LINES,
                                        60,
                                        lanes("bandwidth-1", "lines", 0, 1, 1)),
                                dial(
                                        "chroma-delay",
                                        "Colour late by",
                                        "px",
                                        -200,
                                        200,
                                        0,
                                        3,
                                        lanes("shift-1", "x", 0, 1, 1)),
                                share(
                                        "ringing",
                                        "Ringing",
                                        0.2,
                                        lanes("bandwidth-1", "ringing", 100)),
                                share(
                                        "noise",
                                        "Noise",
                                        0.15,
                                        lanes("noise-1", "strength", 40, 60, 60)),
                                dial(
                                        "wobble",
                                        "Wobble",
                                        "px",
                                        0,
                                        200,
                                        0,
                                        1.2,
                                        alike("wobble-1", "wobble", 1)),
                                dial(
                                        "tear",
                                        "Torn at the bottom",
                                        "px",
                                        -1000,
                                        1000,
                                        0,
                                        24,
                                        alike("wobble-1", "tear", 1)),
                                dial(
                                        "dropouts",
                                        "Dropouts",
                                        "in a frame",
                                        0,
                                        200,
                                        0,
                                        1,
                                        alike("dropouts-1", "rate", 1)),
                                dial(
                                        "generations",
                                        "Copied so many times",
                                        "",
                                        1,
                                        12,
                                        1,
                                        1,
                                        Links.all(
                                                alike("bandwidth-1", "passes", 1),
                                                lanes("noise-1", "strength", 1.5, 2.5, 2.5),
                                                lanes("shift-1", "x", 0, 1, 1)))));
    }

    private static List<Dial.Link> wear() {
        return Links.all(
                lanes("bandwidth-1", "lines", -120, -25, -25),
                lanes("bandwidth-1", "ringing", 40),
                lanes("noise-1", "strength", 14, 24, 24),
                lanes("shift-1", "x", 0, 5, 5),
                alike("wobble-1", "wobble", 7),
                alike("wobble-1", "tear", 80),
                alike("dropouts-1", "rate", 16));
    }

    /** The bulge of the glass and the misconvergence of the beams are one mapping of each lane. */
    private static Look tube() {
        Step bar = Step.atRest("rolling-bar-1", new RollingBar(), Section.FINISH, 3);
        return Look.atRest("tube", new Rgb(), new Lens(), new Halation(), new Phosphors())
                .withStepAdded(bar)
                .withStep("lens-1", s -> s.withEdgeFill(EdgeFill.EMPTY).withSampler(Sampler.LINEAR))
                .withStep("halation-1", s -> s.withLane(0, ScreenLooks::bloom))
                .withNote(
                        "The glass of a tube: phosphors and lines that lose no brightness, bloom,"
                                + " bulge, beams that do not quite meet, and a rolling bar.")
                .withDials(
                        List.of(
                                share(
                                        "strength",
                                        "Mask strength",
                                        0.8,
                                        whole("phosphors-1", "mask", 100)),
                                Dial.choice(
                                        "mask",
                                        "Mask",
                                        word("phosphors-1", "mask"),
                                        "grille",
                                        "slot",
                                        "triad",
                                        "own-picture"),
                                dial(
                                        "pitch",
                                        "Pitch",
                                        "px",
                                        1,
                                        400,
                                        6,
                                        6,
                                        whole("phosphors-1", "pitch", 1)),
                                share(
                                        "dark",
                                        "Dark between lines",
                                        0.6,
                                        whole("phosphors-1", "scan", 100)),
                                dial(
                                        "scan",
                                        "Lines",
                                        "",
                                        10,
                                        4320,
                                        240,
                                        240,
                                        whole("phosphors-1", "lines", 1)),
                                dial(
                                        "beam",
                                        "Beam width",
                                        "",
                                        0.1,
                                        1,
                                        0.45,
                                        0.45,
                                        whole("phosphors-1", "beam", 100)),
                                share("bloom", "Bloom", 0.3, whole("halation-1", "strength", 100)),
                                dial(
                                        "curve",
                                        "Bulge",
                                        "",
                                        0,
                                        0.3,
                                        0,
                                        0.05,
                                        Links.all(
                                                alike("lens-1", "k1", -100),
                                                whole("phosphors-1", "curve", 100))),
                                dial(
                                        "misconvergence",
                                        "Beams apart at the corner",
                                        "%",
                                        -5,
                                        5,
                                        0,
                                        0.12,
                                        lanes("lens-1", "k0", 1, 0, -1)),
                                dial(
                                        "decay",
                                        "Still there a frame later",
                                        "%",
                                        0,
                                        FeedParts.MOST_LINGER_PERCENT,
                                        0,
                                        0,
                                        times(FeedParts.LINGER, 0.85, 1, 0.7)),
                                share(
                                        "roll",
                                        "Rolling bar",
                                        0.08,
                                        whole("rolling-bar-1", "strength", -100)),
                                Dial.choice(
                                        "brightness",
                                        "Brightness",
                                        word("phosphors-1", "brightness"),
                                        "auto",
                                        "as-it-is")));
    }

    /** White about what is bright, wherever it is on the way to white. */
    private static Amounts bloom(Amounts amounts) {
        return amounts.with("threshold", Value.of(0.5))
                .with("radius", Value.of(14))
                .with("fall", Value.ZERO)
                .with("green", Value.of(100))
                .with("blue", Value.of(100))
                .with("tail", Value.ZERO);
    }

    private static Look lowRes() {
        return Look.atRest("low-res", VIDEO, new GaussianBlur(), new LowResolution())
                .withStep("low-resolution-1", s -> s.withWords(java.util.Map.of("shape", "dots")))
                .withStep("gaussian-1", ScreenLooks::acrossOnly)
                .withNote(
                        "Few large pixels and few colours, dithered, with colour that bleeds along"
                                + " the lines; or the dots of a display.")
                .withDials(
                        List.of(
                                dial(
                                        "pixels",
                                        "Pixels across",
                                        "",
                                        0,
                                        3840,
                                        0,
                                        200,
                                        whole("low-resolution-1", "pixels", 1)),
                                Dial.choice(
                                        "palette",
                                        "Palette",
                                        word("low-resolution-1", "palette"),
                                        "even-steps",
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
                                        whole("low-resolution-1", "colours", 1)),
                                dial(
                                        "dither",
                                        "Dither",
                                        "",
                                        0,
                                        2,
                                        1,
                                        0.7,
                                        whole("low-resolution-1", "dither", 100)),
                                dial(
                                        "bleed",
                                        "Bleed of colour",
                                        "px",
                                        0,
                                        200,
                                        0,
                                        10,
                                        lanes("gaussian-1", "radius", 0, 1, 1)),
                                dial(
                                        "dots",
                                        "Gap between dots",
                                        "",
                                        0,
                                        0.9,
                                        0,
                                        0,
                                        whole("low-resolution-1", "gap", 100))));
    }

    private static Step acrossOnly(Step step) {
        Step across = step;
        for (int lane = 0; lane < step.lanes().size(); lane++) {
            across = across.withLane(lane, a -> a.with("down", Value.ZERO));
        }
        return across;
    }
}
