package ivrik.core.look;

import static ivrik.core.look.DialLinks.allChannels;
import static ivrik.core.look.DialLinks.channels;
import static ivrik.core.look.DialLinks.dial;

import ivrik.core.look.Dial.Link;
import ivrik.core.look.Target.OfMask;
import ivrik.core.motion.Value;
import ivrik.core.rejoin.Blend;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.separation.ChannelKind;
import ivrik.core.separation.Rgb;
import ivrik.core.treatment.DirectionalBlur;
import ivrik.core.treatment.Displacement;
import ivrik.core.treatment.Gain;
import ivrik.core.treatment.GaussianBlur;
import ivrik.core.treatment.MinimumMaximum;
import ivrik.core.treatment.PinWarp;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Built-in looks of single channel treatments. Their initial dial values differ from rest. */
final class TreatedLooks {
    private static final int CHANNELS = 3;

    private TreatedLooks() {}

    static List<BuiltInLook> all() {
        return List.of(
                BuiltInLook.of(LookGroup.LIGHT, "Channel blur", channelBlur(), "gaussian", "soft"),
                BuiltInLook.of(
                        LookGroup.SIGNAL, "Block glitch", blockGlitch(), "broken", "digital"),
                BuiltInLook.of(
                                LookGroup.SPLIT,
                                "Ghost warp",
                                ghostWarp(),
                                "warp",
                                "bend",
                                "distort")
                        .withZero("amount", 0),
                BuiltInLook.of(
                        LookGroup.LIGHT,
                        "Dilate and erode",
                        dilateErode(),
                        "erode",
                        "dilate",
                        "patches",
                        "posterise"),
                BuiltInLook.of(
                        LookGroup.LIGHT,
                        "Colour streak",
                        colourStreak(),
                        "streak",
                        "flare",
                        "light"));
    }

    private static Look channelBlur() {
        double[] begins = {12, 2, 0};
        List<ChannelKind> channels = new Rgb().channels();
        List<Dial> dials = new ArrayList<>();
        for (int channel = 0; channel < CHANNELS; channel++) {
            double[] only = new double[CHANNELS];
            only[channel] = 1;
            dials.add(
                    dial(
                            channels.get(channel).id(),
                            channels.get(channel).title(),
                            "px",
                            0,
                            1000,
                            0,
                            begins[channel],
                            channels("gaussian-1", "radius", only)));
        }
        dials.add(
                dial(
                        "across",
                        "Horizontal",
                        "",
                        0,
                        1,
                        1,
                        1,
                        allChannels("gaussian-1", "across", 100)));
        dials.add(dial("down", "Vertical", "", 0, 1, 1, 1, allChannels("gaussian-1", "down", 100)));
        return Look.atRest("channel-blur", new Rgb(), new GaussianBlur())
                .withNote("Blurs each channel by its own radius, in both directions or one.")
                .withDials(dials);
    }

    private static Look blockGlitch() {
        return Look.atRest("block-glitch", new Rgb(), new Displacement())
                .withNote("Displaces random blocks of each channel for a few frames.")
                .withDials(
                        List.of(
                                dial(
                                        "strength",
                                        "Displacement",
                                        "px",
                                        0,
                                        1000,
                                        0,
                                        40,
                                        allChannels("displacement-1", "x", 1)),
                                dial(
                                        "size",
                                        "Size",
                                        "px",
                                        1,
                                        1000,
                                        48,
                                        48,
                                        allChannels("displacement-1", "size", 1)),
                                dial(
                                        "hold",
                                        "Hold",
                                        "frames",
                                        1,
                                        240,
                                        3,
                                        3,
                                        allChannels("displacement-1", "hold", 1))));
    }

    /** The same warp in two channels, in opposite directions. */
    private static Look ghostWarp() {
        double[][] pins = {{-300, -120, 26, -10}, {280, 90, -22, 14}, {0, 0, 8, 18}};
        Look look = Look.atRest("ghost-warp", new Rgb(), new PinWarp());
        for (int channel : new int[] {0, 2}) {
            double direction = channel == 0 ? 1 : -1;
            for (double[] pin : pins) {
                look =
                        look.withSettings(
                                0,
                                channel,
                                a ->
                                        a.withItem(
                                                PinWarp.SERIES,
                                                Map.of(
                                                        "x",
                                                        pin[0],
                                                        "y",
                                                        pin[1],
                                                        "dx",
                                                        direction * pin[2],
                                                        "dy",
                                                        direction * pin[3])));
            }
        }
        return look.withNote("Warps red and blue apart with pins; the border stays fixed.")
                .withDials(
                        List.of(
                                dial(
                                        "amount",
                                        "Amount",
                                        "%",
                                        0,
                                        100,
                                        100,
                                        100,
                                        allChannels("pin-warp-1", "amount", 1))));
    }

    private static Look dilateErode() {
        Look look = Look.atRest("dilate-erode", new Rgb(), new MinimumMaximum());
        return look.withStep(0, s -> s.withChoice(MinimumMaximum.ORDER, "maximum, minimum"))
                .withNote(
                        "Dilates and then erodes red and blue, so that highlights merge into"
                                + " patches; green is unchanged.")
                .withDials(
                        List.of(
                                dial(
                                        "radius",
                                        "Radius",
                                        "px",
                                        0,
                                        200,
                                        0,
                                        6,
                                        channels("minimum-maximum-1", "radius", 1, 0, 1))));
    }

    /** Brightness grows with the length of the streak. */
    private static Look colourStreak() {
        Mask brightOfOneHue =
                Mask.NONE
                        .withTones(
                                new Mask.Tones(
                                        true, Value.of(30), Value.of(100), Value.of(20), false))
                        .withColour(new Mask.Colour(true, Value.of(0), Value.of(60), Value.of(20)))
                        .withSpreads(true);
        return Look.atRest("colour-streak", new Rgb(), new DirectionalBlur(), new Gain())
                .withNote("Streaks the highlights of one hue along a line, over the picture.")
                .withMask(brightOfOneHue)
                .withBlend(new LookBlend(Blend.LIGHTEN, Value.of(1)))
                .withStep(0, s -> s.withEdgeFill(EdgeFill.EMPTY))
                .withDials(
                        List.of(
                                dial(
                                        "hue",
                                        "Hue",
                                        "deg",
                                        -360,
                                        360,
                                        0,
                                        0,
                                        List.of(new Link(new OfMask("hue"), 1))),
                                dial(
                                        "width",
                                        "Hue range",
                                        "deg",
                                        0,
                                        360,
                                        60,
                                        60,
                                        List.of(new Link(new OfMask("width"), 1))),
                                dial(
                                        "length",
                                        "Length",
                                        "px",
                                        0,
                                        1000,
                                        0,
                                        60,
                                        DialLinks.all(
                                                allChannels("directional-1", "length", 1),
                                                allChannels("gain-1", "gain", 3))),
                                dial(
                                        "angle",
                                        "Angle",
                                        "deg",
                                        -360,
                                        360,
                                        0,
                                        0,
                                        allChannels("directional-1", "angle", 1))));
    }
}
