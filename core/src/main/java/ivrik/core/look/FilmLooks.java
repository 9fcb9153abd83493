package ivrik.core.look;

import static ivrik.core.look.DialLinks.allChannels;
import static ivrik.core.look.DialLinks.channels;
import static ivrik.core.look.DialLinks.choice;
import static ivrik.core.look.DialLinks.dial;
import static ivrik.core.look.DialLinks.share;
import static ivrik.core.look.DialLinks.whole;

import ivrik.core.look.Dial.Link;
import ivrik.core.look.Target.OfChannel;
import ivrik.core.motion.Jitter;
import ivrik.core.motion.Value;
import ivrik.core.separation.Cmy;
import ivrik.core.separation.Cmyk;
import ivrik.core.separation.Rgb;
import ivrik.core.treatment.ChannelMixer;
import ivrik.core.treatment.Curve;
import ivrik.core.treatment.Dust;
import ivrik.core.treatment.Exposure;
import ivrik.core.treatment.Gain;
import ivrik.core.treatment.Grain;
import ivrik.core.treatment.Halation;
import ivrik.core.treatment.Halftone;
import ivrik.core.treatment.RgbCurves;
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
                        "Film print",
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
                        "Misregistered print",
                        misregisteredPrint(),
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
                        "Film halation: a soft glow around highlights, orange near them and red"
                                + " further out.")
                .withDials(
                        List.of(
                                dial(
                                        "threshold",
                                        "Threshold above middle grey",
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
                                        "Conserve energy",
                                        "",
                                        0,
                                        1,
                                        0,
                                        0,
                                        whole(step, "conserve-energy", 100))));
    }

    private static Dial weight(String name, String title, double rest) {
        return dial(name, title, "", 0, 1, rest, rest, whole("halation-1", name, 100));
    }

    /**
     * Separates into inks, which stand for the film's dyes: each has its own grain and fades on its own.
     */
    private static Look film() {
        Step weave = Step.atRest("shift-1", new Shift(), Section.PREPARE, 3);
        Step flicker = Step.atRest("exposure-1", new Exposure(), Section.PREPARE, 3);
        Step dust = Step.atRest("dust-1", new Dust(), Section.FINISH, 3);
        return Look.atRest("film-print", new Cmy(), new Gain(), new Grain(), new RgbCurves())
                .withStepAdded(
                        weave.withChannel(
                                0, a -> a.withJitter(Jitter.NONE.withFrequencyHz(WEAVE_HZ))))
                .withStepAdded(
                        flicker.withChannel(
                                0,
                                a ->
                                        a.withJitter(
                                                "stops", Jitter.NONE.withFrequencyHz(FLICKER_HZ))))
                .withStepAdded(
                        dust.withChannel(
                                0,
                                a ->
                                        a.with("size", Value.of(7))
                                                .with("scratch-duration", Value.of(36))))
                .withStep("grain-1", FilmLooks::fine)
                .withStep("rgb-curves-1", s -> s.withChannel(0, FilmLooks::print))
                .withNote(
                        "Grain, gate weave, flicker, dust, scratches, faded dyes and a print"
                                + " curve.")
                .withDials(
                        List.of(
                                share(
                                        "grain",
                                        "Grain",
                                        0.35,
                                        allChannels("grain-1", "strength", 30)),
                                Dial.choice(
                                        "stock",
                                        "Grain size",
                                        allChannels("grain-1", "size", 0.9),
                                        "fine",
                                        "medium",
                                        "coarse",
                                        "very-coarse"),
                                dial(
                                        "weave",
                                        "Gate weave",
                                        "px",
                                        0,
                                        40,
                                        0,
                                        0.8,
                                        whole("shift-1", OfChannel.JITTER, 1)),
                                dial(
                                        "flicker",
                                        "Flicker",
                                        "stops",
                                        0,
                                        2,
                                        0,
                                        0.05,
                                        whole("exposure-1", OfChannel.OWN_JITTER + "stops", 1)),
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
                                share(
                                        "fade",
                                        "Dye fade",
                                        0.2,
                                        channels("gain-1", "gain", -50, -22, -36)),
                                share(
                                        "print",
                                        "Print curve",
                                        0.6,
                                        whole("rgb-curves-1", "amount", 100))));
    }

    private static Step fine(Step grain) {
        Step fine = grain;
        for (int channel = 0; channel < grain.channels().size(); channel++) {
            fine = fine.withChannel(channel, a -> a.with("size", Value.of(FINE_PX)));
        }
        return fine;
    }

    /** A print curve with a soft toe and shoulder. */
    private static ChannelSettings print(ChannelSettings settings) {
        ChannelSettings curved = settings.with("amount", Value.ZERO);
        for (double[] point : new double[][] {{8, 4}, {30, 24}, {70, 77}, {94, 95}}) {
            curved = curved.withItem(Curve.SERIES, Map.of("in", point[0], "out", point[1]));
        }
        return curved;
    }

    private static Look misregisteredPrint() {
        double[] angles = {15, 75, 0, 45};
        Look look =
                Look.atRest(
                        "misregistered-print",
                        new Cmyk(1),
                        new Halftone(),
                        new Rotate(),
                        new Shift(),
                        new ChannelMixer());
        for (int channel = 0; channel < angles.length; channel++) {
            int number = channel;
            look =
                    look.withSettings(
                            "halftone-1", channel, a -> a.with("angle", Value.of(angles[number])));
        }
        return look.withNote("Four-colour halftone on paper, slightly misregistered.")
                .withDials(
                        List.of(
                                share(
                                        "dots",
                                        "Halftone",
                                        1,
                                        channels("halftone-1", "amount", 100, 100, 100, 100)),
                                Dial.choice(
                                        "shape",
                                        "Screen shape",
                                        choice("halftone-1", "shape"),
                                        "dots",
                                        "lines"),
                                dial(
                                        "size",
                                        "Screen pitch",
                                        "px",
                                        2,
                                        200,
                                        8,
                                        8,
                                        channels("halftone-1", "size", 1, 1, 1, 1)),
                                dial(
                                        "gain",
                                        "Dot gain",
                                        "",
                                        -0.5,
                                        0.5,
                                        0,
                                        0.08,
                                        channels("halftone-1", "gain", 100, 100, 100, 100)),
                                dial(
                                        "misregister",
                                        "Misregistration",
                                        "px",
                                        0,
                                        200,
                                        0,
                                        4,
                                        DialLinks.all(
                                                channels("shift-1", "x", 1, -0.8, 0.4),
                                                channels("shift-1", "y", -0.5, 0.7, 0.9),
                                                channels("rotate-1", "angle", 0.01, -0.02, 0.015))),
                                share("paper", "Paper tint", 0.6, paper())));
    }

    /** Lowers all channels, blue the least. */
    private static List<Link> paper() {
        return DialLinks.all(
                whole("channel-mixer-1", ChannelMixer.name("red", "red"), -4),
                whole("channel-mixer-1", ChannelMixer.name("green", "green"), -8),
                whole("channel-mixer-1", ChannelMixer.name("blue", "blue"), -18));
    }
}
