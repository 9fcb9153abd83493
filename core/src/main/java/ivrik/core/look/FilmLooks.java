package ivrik.core.look;

import static ivrik.core.look.Links.alike;
import static ivrik.core.look.Links.dial;
import static ivrik.core.look.Links.lanes;
import static ivrik.core.look.Links.share;
import static ivrik.core.look.Links.whole;
import static ivrik.core.look.Links.word;

import ivrik.core.look.Dial.Link;
import ivrik.core.look.Target.OfLane;
import ivrik.core.motion.Jitter;
import ivrik.core.motion.Value;
import ivrik.core.separation.Cmy;
import ivrik.core.separation.Cmyk;
import ivrik.core.separation.Rgb;
import ivrik.core.treatment.ChannelMix;
import ivrik.core.treatment.Curve;
import ivrik.core.treatment.Dust;
import ivrik.core.treatment.Exposure;
import ivrik.core.treatment.Gain;
import ivrik.core.treatment.Grain;
import ivrik.core.treatment.Halation;
import ivrik.core.treatment.Halftone;
import ivrik.core.treatment.PictureCurve;
import ivrik.core.treatment.Rotate;
import ivrik.core.treatment.Shift;

import java.util.List;
import java.util.Map;

/** Built-in looks of film and print. */
final class FilmLooks {
    private static final double WEAVE_HZ = 5;
    private static final double FLICKER_HZ = 24;
    private static final double FINE_PX = 1;

    private FilmLooks() {}

    static List<BuiltInLook> all() {
        return List.of(
                BuiltInLook.of(
                        LookGroup.FILM,
                        "Halation",
                        halation(),
                        "glow",
                        "bloom",
                        "film",
                        "highlights",
                        "red"),
                BuiltInLook.of(
                        LookGroup.FILM,
                        "Film",
                        film(),
                        "grain",
                        "gate weave",
                        "flicker",
                        "dust",
                        "scratches",
                        "print",
                        "faded"),
                BuiltInLook.of(
                        LookGroup.FILM,
                        "Ink out of register",
                        inkMisprint(),
                        "print",
                        "halftone",
                        "dots",
                        "newspaper",
                        "paper"));
    }

    private static Look halation() {
        String step = "halation-1";
        return Look.atRest("halation", new Rgb(), new Halation())
                .withNote(
                        "A soft light, red outside and orange inside, about the brightest places,"
                                + " as film has it.")
                .withDials(
                        List.of(
                                dial(
                                        "threshold",
                                        "From, over middle grey",
                                        "stops",
                                        -6,
                                        12,
                                        1,
                                        0.8,
                                        whole(step, "threshold", 1)),
                                dial(
                                        "radius",
                                        "Radius",
                                        "px",
                                        0,
                                        1000,
                                        24,
                                        40,
                                        whole(step, "radius", 1)),
                                weight("red", "Red", 1),
                                weight("green", "Green", 0.35),
                                weight("blue", "Blue", 0.1),
                                dial("tail", "Tail", "", 0, 1, 0.6, 0.6, whole(step, "tail", 100)),
                                dial(
                                        "strength",
                                        "Strength",
                                        "",
                                        0,
                                        4,
                                        0,
                                        1.2,
                                        whole(step, "strength", 100)),
                                dial(
                                        "keep-energy",
                                        "Keep the energy",
                                        "",
                                        0,
                                        1,
                                        0,
                                        0,
                                        whole(step, "keep", 100))));
    }

    private static Dial weight(String name, String title, double rest) {
        return dial(name, title, "", 0, 1, rest, rest, whole("halation-1", name, 100));
    }

    /** In inks, which are a film's dyes: each has its own grain and fades by itself. */
    private static Look film() {
        Step weave = Step.atRest("shift-1", new Shift(), Section.PREPARE, 3);
        Step flicker = Step.atRest("exposure-1", new Exposure(), Section.PREPARE, 3);
        Step dust = Step.atRest("dust-1", new Dust(), Section.FINISH, 3);
        return Look.atRest("film", new Cmy(), new Gain(), new Grain(), new PictureCurve())
                .withStepAdded(
                        weave.withLane(0, a -> a.withJitter(Jitter.NONE.withFrequencyHz(WEAVE_HZ))))
                .withStepAdded(
                        flicker.withLane(
                                0,
                                a ->
                                        a.withJitter(
                                                "stops", Jitter.NONE.withFrequencyHz(FLICKER_HZ))))
                .withStepAdded(
                        dust.withLane(
                                0, a -> a.with("size", Value.of(7)).with("life", Value.of(36))))
                .withStep("grain-1", FilmLooks::fine)
                .withStep("picture-curve-1", s -> s.withLane(0, FilmLooks::print))
                .withNote(
                        "The grain, weave, flicker, dust, scratches and faded dyes of film, and the"
                                + " curve of a print.")
                .withDials(
                        List.of(
                                share("grain", "Grain", 0.35, alike("grain-1", "strength", 30)),
                                Dial.choice(
                                        "stock",
                                        "Grain is",
                                        alike("grain-1", "size", 0.9),
                                        "fine",
                                        "medium",
                                        "coarse",
                                        "very-coarse"),
                                dial(
                                        "weave",
                                        "Weave",
                                        "px",
                                        0,
                                        40,
                                        0,
                                        0.8,
                                        whole("shift-1", OfLane.JITTER, 1)),
                                dial(
                                        "flicker",
                                        "Flicker",
                                        "stops",
                                        0,
                                        2,
                                        0,
                                        0.05,
                                        whole("exposure-1", OfLane.OWN_JITTER + "stops", 1)),
                                dial(
                                        "dust",
                                        "Dust",
                                        "specks",
                                        0,
                                        200,
                                        0,
                                        3,
                                        whole("dust-1", "specks", 1)),
                                dial(
                                        "scratches",
                                        "Scratches",
                                        "",
                                        0,
                                        20,
                                        0,
                                        1,
                                        whole("dust-1", "scratches", 1)),
                                share("fade", "Fade", 0.2, lanes("gain-1", "gain", -50, -22, -36)),
                                share(
                                        "print",
                                        "Print curve",
                                        0.6,
                                        whole("picture-curve-1", "amount", 100))));
    }

    private static Step fine(Step grain) {
        Step fine = grain;
        for (int lane = 0; lane < grain.lanes().size(); lane++) {
            fine = fine.withLane(lane, a -> a.with("size", Value.of(FINE_PX)));
        }
        return fine;
    }

    /** A soft toe and shoulder, steeper between. */
    private static Amounts print(Amounts amounts) {
        Amounts curved = amounts.with("amount", Value.ZERO);
        for (double[] point : new double[][] {{8, 4}, {30, 24}, {70, 77}, {94, 95}}) {
            curved = curved.withThing(Curve.SERIES, Map.of("in", point[0], "out", point[1]));
        }
        return curved;
    }

    private static Look inkMisprint() {
        double[] angles = {15, 75, 0, 45};
        Look look =
                Look.atRest(
                        "ink-misprint",
                        new Cmyk(1),
                        new Halftone(),
                        new Rotate(),
                        new Shift(),
                        new ChannelMix());
        for (int lane = 0; lane < angles.length; lane++) {
            int number = lane;
            look =
                    look.withAmounts(
                            "halftone-1", lane, a -> a.with("angle", Value.of(angles[number])));
        }
        return look.withNote(
                        "Four inks in dots or lines at their own angles, laid on paper a little out"
                                + " of register.")
                .withDials(
                        List.of(
                                share(
                                        "dots",
                                        "Dots",
                                        1,
                                        lanes("halftone-1", "amount", 100, 100, 100, 100)),
                                Dial.choice(
                                        "shape",
                                        "Laid on in",
                                        word("halftone-1", "shape"),
                                        "dots",
                                        "lines"),
                                dial(
                                        "size",
                                        "Size",
                                        "px",
                                        2,
                                        200,
                                        8,
                                        8,
                                        lanes("halftone-1", "size", 1, 1, 1, 1)),
                                dial(
                                        "gain",
                                        "Dot gain",
                                        "",
                                        -0.5,
                                        0.5,
                                        0,
                                        0.08,
                                        lanes("halftone-1", "gain", 100, 100, 100, 100)),
                                dial(
                                        "misregister",
                                        "Out of register",
                                        "px",
                                        0,
                                        200,
                                        0,
                                        4,
                                        Links.all(
                                                lanes("shift-1", "x", 1, -0.8, 0.4),
                                                lanes("shift-1", "y", -0.5, 0.7, 0.9),
                                                lanes("rotate-1", "angle", 0.01, -0.02, 0.015))),
                                share("paper", "Paper", 0.6, paper())));
    }

    /** Less of all, and least of blue. */
    private static List<Link> paper() {
        return Links.all(
                whole("channel-mix-1", ChannelMix.name("red", "red"), -4),
                whole("channel-mix-1", ChannelMix.name("green", "green"), -8),
                whole("channel-mix-1", ChannelMix.name("blue", "blue"), -18));
    }
}
