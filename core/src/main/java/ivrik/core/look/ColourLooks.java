package ivrik.core.look;

import static ivrik.core.look.Links.dial;
import static ivrik.core.look.Links.lanes;
import static ivrik.core.look.Links.onto;
import static ivrik.core.look.Links.share;
import static ivrik.core.look.Links.whole;
import static ivrik.core.look.Links.word;

import ivrik.core.look.Dial.Link;
import ivrik.core.look.Target.OfStep;
import ivrik.core.motion.Value;
import ivrik.core.rejoin.Blend;
import ivrik.core.separation.LaneKind;
import ivrik.core.separation.Rgb;
import ivrik.core.treatment.ChannelMix;
import ivrik.core.treatment.GaussianBlur;
import ivrik.core.treatment.GradientMap;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Built-in looks of colour and light. */
final class ColourLooks {
    /** Where each channel comes from at first. */
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
                        "Heat",
                        heat(),
                        "thermal",
                        "false colour",
                        "gradient",
                        "night",
                        "ice"),
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
                        "Ghost trail",
                        ghostTrail(),
                        "echo",
                        "linger",
                        "afterimage",
                        "decay"));
    }

    private static Look channelGlow() {
        double[] begins = {40, 24, 60};
        List<LaneKind> kinds = new Rgb().lanes();
        List<Dial> dials = new ArrayList<>();
        for (int lane = 0; lane < kinds.size(); lane++) {
            double[] only = new double[kinds.size()];
            only[lane] = 1;
            dials.add(
                    dial(
                            kinds.get(lane).id(),
                            kinds.get(lane).title(),
                            "px",
                            0,
                            1000,
                            0,
                            begins[lane],
                            lanes("gaussian-1", "radius", only)));
        }
        dials.add(share("strength", "Strength", 0.6, onto(1)));
        return Look.atRest("channel-glow", new Rgb(), new GaussianBlur())
                .withOnto(new Onto(Blend.SCREEN, Value.ZERO))
                .withNote(
                        "Lays each channel, blurred by its own radius, over the picture as light.")
                .withDials(dials);
    }

    private static Look duotone() {
        return Look.atRest("duotone", new Rgb(), new GradientMap())
                .withNote("Two colours and one between them in the place of tones.")
                .withDials(
                        List.of(
                                amount(),
                                dial(
                                        "middle",
                                        "Middle at",
                                        "%",
                                        1,
                                        99,
                                        50,
                                        50,
                                        whole("gradient-map-1", "middle", 1))));
    }

    private static Dial amount() {
        return share("amount", "Amount", 1, whole("gradient-map-1", "amount", 100));
    }

    private static Look heat() {
        String step = "gradient-map-1";
        return Look.atRest("heat", new Rgb(), new GradientMap())
                .withStep(step, s -> s.withWords(Map.of(GradientMap.SCALE.name(), "heat")))
                .withNote("The colours of a camera that sees heat, or cold, or in the night.")
                .withDials(
                        List.of(
                                amount(),
                                Dial.choice(
                                        "scale",
                                        "Scale",
                                        word(step, GradientMap.SCALE.name()),
                                        "heat",
                                        "ice",
                                        "night")));
    }

    private static Look swap() {
        List<String> channels = List.of("red", "green", "blue");
        List<Dial> dials = new ArrayList<>();
        for (String to : channels) {
            List<String> words = new ArrayList<>(channels);
            words.remove(to);
            words.addFirst(to);
            List<Link> links = new ArrayList<>();
            for (int other = 1; other < words.size(); other++) {
                Dial.Only chosen = new Dial.Only(to, other);
                links.add(part(to, to, -100.0 / other, chosen));
                links.add(part(to, words.get(other), 100.0 / other, chosen));
            }
            String title = Character.toUpperCase(to.charAt(0)) + to.substring(1);
            dials.add(
                    Dial.choice(to, title + " from", links, words.toArray(String[]::new))
                            .withValue(Value.of(words.indexOf(SWAPPED.get(to)))));
        }
        return Look.atRest("swap", new Rgb(), new ChannelMix())
                .withNote("Shows any channel in the place of any other.")
                .withDials(dials);
    }

    private static Link part(String to, String from, double percent, Dial.Only only) {
        return new Link(new OfStep("channel-mix-1", ChannelMix.name(to, from)), percent, only);
    }

    private static Look ghostTrail() {
        double[] begins = {82, 60, 88};
        List<LaneKind> kinds = new Rgb().lanes();
        List<Dial> dials = new ArrayList<>();
        for (int lane = 0; lane < kinds.size(); lane++) {
            dials.add(
                    dial(
                            kinds.get(lane).id(),
                            kinds.get(lane).title() + " lingers",
                            "%",
                            0,
                            FeedParts.MOST_LINGER_PERCENT,
                            0,
                            begins[lane],
                            List.of(new Link(new Target.OfFeed(lane, FeedParts.LINGER), 1))));
        }
        return Look.atRest("ghost-trail", new Rgb())
                .withNote(
                        "What was bright lingers in each channel for its own time: what moves"
                                + " trails colours.")
                .withDials(dials);
    }
}
