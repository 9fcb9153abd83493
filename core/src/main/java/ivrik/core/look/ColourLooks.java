package ivrik.core.look;

import static ivrik.core.look.DialLinks.channels;
import static ivrik.core.look.DialLinks.choice;
import static ivrik.core.look.DialLinks.dial;
import static ivrik.core.look.DialLinks.opacity;
import static ivrik.core.look.DialLinks.share;
import static ivrik.core.look.DialLinks.whole;

import ivrik.core.look.Dial.Link;
import ivrik.core.look.Target.OfStep;
import ivrik.core.motion.Value;
import ivrik.core.rejoin.Blend;
import ivrik.core.separation.ChannelKind;
import ivrik.core.separation.Rgb;
import ivrik.core.treatment.ChannelMixer;
import ivrik.core.treatment.GaussianBlur;
import ivrik.core.treatment.GradientMap;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Built-in looks of colour and light. */
final class ColourLooks {
    /** Default channel routing. */
    private static final Map<String, String> SWAPPED =
            Map.of("red", "blue", "green", "green", "blue", "red");

    private ColourLooks() {}

    static List<BuiltInLook> all() {
        return List.of(
                BuiltInLook.of(
                        LookGroup.LIGHT,
                        "Channel glow",
                        channelGlow(),
                        "bloom",
                        "blur",
                        "soft",
                        "dream"),
                BuiltInLook.of(
                        LookGroup.COLOUR, "Duotone", duotone(), "two colours", "tint", "gradient"),
                BuiltInLook.of(
                        LookGroup.COLOUR,
                        "False colour",
                        falseColour(),
                        "thermal",
                        "false colour",
                        "gradient",
                        "night vision",
                        "cold"),
                BuiltInLook.of(
                        LookGroup.COLOUR,
                        "Swap channels",
                        swap(),
                        "mix",
                        "infrared",
                        "permute",
                        "matrix"),
                BuiltInLook.of(
                        LookGroup.TIME,
                        "Channel trails",
                        channelTrails(),
                        "echo",
                        "trails",
                        "afterimage",
                        "decay"));
    }

    private static Look channelGlow() {
        double[] begins = {40, 24, 60};
        List<ChannelKind> kinds = new Rgb().channels();
        List<Dial> dials = new ArrayList<>();
        for (int channel = 0; channel < kinds.size(); channel++) {
            double[] only = new double[kinds.size()];
            only[channel] = 1;
            dials.add(
                    dial(
                            kinds.get(channel).id(),
                            kinds.get(channel).title(),
                            "px",
                            0,
                            1000,
                            0,
                            begins[channel],
                            channels("gaussian-1", "radius", only)));
        }
        dials.add(share("strength", "Strength", 0.6, opacity(1)));
        return Look.atRest("channel-glow", new Rgb(), new GaussianBlur())
                .withBlend(new LookBlend(Blend.SCREEN, Value.ZERO))
                .withNote(
                        "Adds a blurred copy of each channel over the picture, each with its own"
                                + " radius.")
                .withDials(dials);
    }

    private static Look duotone() {
        return Look.atRest("duotone", new Rgb(), new GradientMap())
                .withNote("Maps tones to two colours and a midpoint colour.")
                .withDials(
                        List.of(
                                amount(),
                                dial(
                                        "middle",
                                        "Midpoint",
                                        "%",
                                        1,
                                        99,
                                        50,
                                        50,
                                        whole("gradient-map-1", "midpoint", 1))));
    }

    private static Dial amount() {
        return share("amount", "Amount", 1, whole("gradient-map-1", "amount", 100));
    }

    private static Look falseColour() {
        String step = "gradient-map-1";
        return Look.atRest("false-colour", new Rgb(), new GradientMap())
                .withStep(step, s -> s.withChoices(Map.of(GradientMap.SCALE.name(), "thermal")))
                .withNote("False-colour palettes: thermal, cold and night vision.")
                .withDials(
                        List.of(
                                amount(),
                                Dial.choice(
                                        "scale",
                                        "Palette",
                                        choice(step, GradientMap.SCALE.name()),
                                        "thermal",
                                        "cold",
                                        "night-vision")));
    }

    private static Look swap() {
        List<String> channels = List.of("red", "green", "blue");
        List<Dial> dials = new ArrayList<>();
        for (String to : channels) {
            List<String> choices = new ArrayList<>(channels);
            choices.remove(to);
            choices.addFirst(to);
            List<Link> links = new ArrayList<>();
            for (int other = 1; other < choices.size(); other++) {
                Dial.Condition chosen = new Dial.Condition(to, other);
                links.add(part(to, to, -100.0 / other, chosen));
                links.add(part(to, choices.get(other), 100.0 / other, chosen));
            }
            String title = Character.toUpperCase(to.charAt(0)) + to.substring(1);
            dials.add(
                    Dial.choice(to, title + " output from", links, choices.toArray(String[]::new))
                            .withValue(Value.of(choices.indexOf(SWAPPED.get(to)))));
        }
        return Look.atRest("swap", new Rgb(), new ChannelMixer())
                .withNote("Replaces channels by one another.")
                .withDials(dials);
    }

    private static Link part(String to, String from, double percent, Dial.Condition only) {
        return new Link(new OfStep("channel-mixer-1", ChannelMixer.name(to, from)), percent, only);
    }

    private static Look channelTrails() {
        double[] begins = {82, 60, 88};
        List<ChannelKind> kinds = new Rgb().channels();
        List<Dial> dials = new ArrayList<>();
        for (int channel = 0; channel < kinds.size(); channel++) {
            dials.add(
                    dial(
                            kinds.get(channel).id(),
                            kinds.get(channel).title() + " trail per frame",
                            "%",
                            0,
                            ChannelSourceParameters.MAX_TRAIL_PERCENT,
                            0,
                            begins[channel],
                            List.of(
                                    new Link(
                                            new Target.OfChannelSource(
                                                    channel, ChannelSourceParameters.TRAIL),
                                            1))));
        }
        return Look.atRest("channel-trails", new Rgb())
                .withNote(
                        "Bright areas leave trails of different lengths in each channel, so that"
                                + " movement trails colour.")
                .withDials(dials);
    }
}
