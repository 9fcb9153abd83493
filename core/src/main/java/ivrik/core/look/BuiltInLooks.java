package ivrik.core.look;

import ivrik.core.UnknownNameException;
import ivrik.core.look.Dial.Link;
import ivrik.core.look.Target.OfChannel;
import ivrik.core.motion.Jitter;
import ivrik.core.motion.Value;
import ivrik.core.separation.ChannelKind;
import ivrik.core.separation.Rgb;
import ivrik.core.treatment.Shift;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** The built-in looks, by name. */
public final class BuiltInLooks {
    private static final String PAIR = "pair";
    private static final double FAR_PX = 4000;
    private static final List<BuiltInLook> ALL =
            Stream.concat(
                            Stream.of(
                                    BuiltInLook.of(
                                            LookGroup.SPLIT,
                                            "Neutral",
                                            neutral(),
                                            "nothing",
                                            "empty"),
                                    BuiltInLook.of(
                                                    LookGroup.SPLIT,
                                                    "RGB split",
                                                    rgbSplit(),
                                                    "chromatic aberration",
                                                    "glitch",
                                                    "shift",
                                                    "shake")
                                            .example(Map.of("red-x", -9.0, "blue-x", 9.0)),
                                    BuiltInLook.of(
                                                    LookGroup.SPLIT,
                                                    "Anaglyph 3D",
                                                    anaglyph(),
                                                    "anaglyph",
                                                    "3d",
                                                    "red cyan")
                                            .example(Map.of("depth", 16.0))),
                            Stream.of(
                                            TreatedLooks.all(),
                                            LensLooks.all(),
                                            FilmLooks.all(),
                                            ScreenLooks.all(),
                                            SignalLooks.all(),
                                            ColourLooks.all(),
                                            TimedLooks.all(),
                                            CutLooks.all())
                                    .flatMap(List::stream))
                    .sorted(Comparator.comparing(BuiltInLook::group))
                    .toList();

    private BuiltInLooks() {}

    /** All built-in looks, group by group. */
    public static List<BuiltInLook> shelf() {
        return ALL;
    }

    public static List<Look> all() {
        return ALL.stream().map(BuiltInLook::look).toList();
    }

    /**
     * The built-in look of a name.
     *
     * @throws UnknownNameException if there is none; the message lists all
     */
    public static Look named(String name) {
        return find(name).orElseThrow(() -> unknown(name));
    }

    private static UnknownNameException unknown(String name) {
        return FormerNames.presentLook(name)
                .map(present -> UnknownNameException.renamed("look", name, present))
                .orElseGet(
                        () ->
                                new UnknownNameException(
                                        "look", name, all().stream().map(Look::name).toList()));
    }

    /** The built-in look of a name; empty if there is none. */
    public static Optional<Look> find(String name) {
        return all().stream().filter(l -> l.name().equals(name)).findFirst();
    }

    private static Look neutral() {
        return Look.atRest("neutral", new Rgb(), new Shift())
                .withNote("Separates and rejoins without a visible change: a starting point.");
    }

    private static Look rgbSplit() {
        List<ChannelKind> channels = new Rgb().channels();
        List<Dial> dials = new ArrayList<>();
        for (int channel = 0; channel < channels.size(); channel++) {
            for (String axis : List.of("x", "y")) {
                dials.add(
                        new Dial(
                                channels.get(channel).id() + "-" + axis,
                                channels.get(channel).title() + " " + axis,
                                "px",
                                -FAR_PX,
                                FAR_PX,
                                0,
                                Value.ZERO,
                                List.of(new Link(shift(channel, axis), 1))));
            }
        }
        double rate = Jitter.NONE.frequencyHz();
        dials.add(
                onEveryChannel("shake", "Jitter", "px", 400, 0, OfChannel.JITTER, channels.size()));
        dials.add(
                onEveryChannel(
                        "rate",
                        "Jitter rate",
                        "Hz",
                        120,
                        rate,
                        OfChannel.JITTER_RATE,
                        channels.size()));
        return Look.atRest("rgb-split", new Rgb(), new Shift())
                .withNote("Shifts red, green and blue apart, with jitter.")
                .withDials(dials);
    }

    /** Shifts one channel against the other two, for anaglyph glasses. */
    private static Look anaglyph() {
        List<Dial> dials = new ArrayList<>();
        dials.add(halves("depth", "Horizontal parallax", "x"));
        dials.add(halves("height", "Vertical offset", "y"));
        dials.add(
                Dial.choice(
                        PAIR,
                        "Filter colours (left, right)",
                        List.of(),
                        "red-cyan",
                        "green-magenta",
                        "blue-yellow",
                        "cyan-red",
                        "magenta-green",
                        "yellow-blue"));
        return Look.atRest("anaglyph", new Rgb(), new Shift())
                .withNote(
                        "Shifts one channel against the other two for anaglyph glasses, half the"
                                + " distance each.")
                .withDials(dials);
    }

    private static Dial halves(String name, String title, String axis) {
        List<Link> links = new ArrayList<>();
        for (int pair = 0; pair < 6; pair++) {
            double direction = pair < 3 ? 0.5 : -0.5;
            for (int channel = 0; channel < 3; channel++) {
                double half = channel == pair % 3 ? direction : -direction;
                links.add(new Link(shift(channel, axis), half, new Dial.Condition(PAIR, pair)));
            }
        }
        return new Dial(name, title, "px", -FAR_PX, FAR_PX, 0, Value.ZERO, links);
    }

    private static Dial onEveryChannel(
            String name,
            String title,
            String unit,
            double max,
            double rest,
            String target,
            int channels) {
        return new Dial(
                name,
                title,
                unit,
                0,
                max,
                rest,
                Value.of(rest),
                IntStream.range(0, channels)
                        .mapToObj(channel -> new Link(shift(channel, target), 1))
                        .toList());
    }

    private static Target shift(int channel, String parameter) {
        return new OfChannel("shift-1", channel, parameter);
    }
}
