package ivrik.core.look;

import static ivrik.core.look.Links.alike;
import static ivrik.core.look.Links.dial;
import static ivrik.core.look.Links.lanes;

import ivrik.core.look.Dial.Link;
import ivrik.core.look.Target.OfReach;
import ivrik.core.motion.Value;
import ivrik.core.rejoin.Blend;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.separation.LaneKind;
import ivrik.core.separation.Rgb;
import ivrik.core.treatment.DirectionalBlur;
import ivrik.core.treatment.Displace;
import ivrik.core.treatment.Gain;
import ivrik.core.treatment.GaussianBlur;
import ivrik.core.treatment.MinMax;
import ivrik.core.treatment.Pins;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Built-in looks that show what treatments of single lanes can do. Their dials begin away from rest. */
final class TreatedLooks {
    private static final int LANES = 3;

    private TreatedLooks() {}

    static List<BuiltInLook> all() {
        return List.of(
                BuiltInLook.of(LookGroup.LIGHT, "Channel blur", channelBlur(), "gaussian", "soft"),
                BuiltInLook.of(
                        LookGroup.SIGNAL, "Block glitch", blockGlitch(), "broken", "digital"),
                BuiltInLook.of(
                                LookGroup.SPLIT,
                                "Ghost pins",
                                ghostPins(),
                                "warp",
                                "bend",
                                "distort")
                        .withZero("amount", 0),
                BuiltInLook.of(
                        LookGroup.LIGHT,
                        "Max and min",
                        maxMin(),
                        "erode",
                        "dilate",
                        "patches",
                        "posterise"),
                BuiltInLook.of(
                        LookGroup.LIGHT,
                        "Glow of one colour",
                        glowOneColour(),
                        "streak",
                        "flare",
                        "light"));
    }

    private static Look channelBlur() {
        double[] begins = {12, 2, 0};
        List<LaneKind> lanes = new Rgb().lanes();
        List<Dial> dials = new ArrayList<>();
        for (int lane = 0; lane < LANES; lane++) {
            double[] only = new double[LANES];
            only[lane] = 1;
            dials.add(
                    dial(
                            lanes.get(lane).id(),
                            lanes.get(lane).title(),
                            "px",
                            0,
                            1000,
                            0,
                            begins[lane],
                            lanes("gaussian-1", "radius", only)));
        }
        dials.add(dial("across", "Across", "", 0, 1, 1, 1, alike("gaussian-1", "across", 100)));
        dials.add(dial("down", "Down", "", 0, 1, 1, 1, alike("gaussian-1", "down", 100)));
        return Look.atRest("channel-blur", new Rgb(), new GaussianBlur())
                .withNote("Blurs each lane by its own radius, both ways or one.")
                .withDials(dials);
    }

    private static Look blockGlitch() {
        return Look.atRest("block-glitch", new Rgb(), new Displace())
                .withNote("Blocks of each lane jump aside and stay for a few frames.")
                .withDials(
                        List.of(
                                dial(
                                        "strength",
                                        "Strength",
                                        "px",
                                        0,
                                        1000,
                                        0,
                                        40,
                                        alike("displace-1", "x", 1)),
                                dial(
                                        "size",
                                        "Size",
                                        "px",
                                        1,
                                        1000,
                                        48,
                                        48,
                                        alike("displace-1", "size", 1)),
                                dial(
                                        "hold",
                                        "Each lasts",
                                        "frames",
                                        1,
                                        240,
                                        3,
                                        3,
                                        alike("displace-1", "hold", 1))));
    }

    /** The same bend in two lanes, opposed. */
    private static Look ghostPins() {
        double[][] pins = {{-300, -120, 26, -10}, {280, 90, -22, 14}, {0, 0, 8, 18}};
        Look look = Look.atRest("ghost-pins", new Rgb(), new Pins());
        for (int lane : new int[] {0, 2}) {
            double way = lane == 0 ? 1 : -1;
            for (double[] pin : pins) {
                look =
                        look.withAmounts(
                                0,
                                lane,
                                a ->
                                        a.withThing(
                                                Pins.SERIES,
                                                Map.of(
                                                        "x",
                                                        pin[0],
                                                        "y",
                                                        pin[1],
                                                        "dx",
                                                        way * pin[2],
                                                        "dy",
                                                        way * pin[3])));
            }
        }
        return look.withNote("Red and blue are bent apart by pins, and the border stays.")
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
                                        alike("pins-1", "amount", 1))));
    }

    private static Look maxMin() {
        Look look = Look.atRest("max-min", new Rgb(), new MinMax());
        return look.withStep(0, s -> s.withWord(MinMax.ORDER, "maximum, minimum"))
                .withNote(
                        "The lights of red and blue run together into patches, green stays as it"
                                + " is.")
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
                                        lanes("min-max-1", "radius", 1, 0, 1))));
    }

    /** The longer it is drawn out, the more it is brightened. */
    private static Look glowOneColour() {
        Reach brightOfOneHue =
                Reach.ALL
                        .withTones(
                                new Reach.Tones(
                                        true, Value.of(30), Value.of(100), Value.of(20), false))
                        .withColour(new Reach.Colour(true, Value.of(0), Value.of(60), Value.of(20)))
                        .withSpreads(true);
        return Look.atRest("glow-one-colour", new Rgb(), new DirectionalBlur(), new Gain())
                .withNote(
                        "The brightest of one colour is drawn out along a line, over the picture.")
                .withReach(brightOfOneHue)
                .withOnto(new Onto(Blend.LIGHTEN, Value.of(1)))
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
                                        List.of(new Link(new OfReach("hue"), 1))),
                                dial(
                                        "width",
                                        "Width",
                                        "deg",
                                        0,
                                        360,
                                        60,
                                        60,
                                        List.of(new Link(new OfReach("width"), 1))),
                                dial(
                                        "length",
                                        "Length",
                                        "px",
                                        0,
                                        1000,
                                        0,
                                        60,
                                        Links.all(
                                                alike("directional-1", "length", 1),
                                                alike("gain-1", "gain", 3))),
                                dial(
                                        "angle",
                                        "Angle",
                                        "deg",
                                        -360,
                                        360,
                                        0,
                                        0,
                                        alike("directional-1", "angle", 1))));
    }
}
