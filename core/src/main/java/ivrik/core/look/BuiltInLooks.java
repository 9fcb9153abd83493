package ivrik.core.look;

import ivrik.core.UnknownNameException;
import ivrik.core.look.Dial.Link;
import ivrik.core.look.Target.OfLane;
import ivrik.core.motion.Jitter;
import ivrik.core.motion.Value;
import ivrik.core.separation.LaneKind;
import ivrik.core.separation.Rgb;
import ivrik.core.treatment.Shift;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** The looks that come with Ivrik, found by name. */
public final class BuiltInLooks {
    private static final String PAIR = "pair";
    private static final double FAR_PX = 4000;
    private static final List<BuiltInLook> ALL =
            Stream.concat(
                            Stream.of(
                                    BuiltInLook.of(
                                            LookGroup.SPLIT,
                                            "In register",
                                            inRegister(),
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
                                            .shown(Map.of("red-x", -9.0, "blue-x", 9.0)),
                                    BuiltInLook.of(
                                                    LookGroup.SPLIT,
                                                    "Stereo glasses",
                                                    stereoGlasses(),
                                                    "anaglyph",
                                                    "3d",
                                                    "red cyan")
                                            .shown(Map.of("depth", 16.0))),
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

    /** All of them, group by group. */
    public static List<BuiltInLook> shelf() {
        return ALL;
    }

    public static List<Look> all() {
        return ALL.stream().map(BuiltInLook::look).toList();
    }

    /**
     * The look of this name.
     *
     * @throws UnknownNameException if there is none; it lists those there are
     */
    public static Look named(String name) {
        return UnknownNameException.find("look", name, all(), Look::name);
    }

    /** The one of a name; empty if there is none. */
    public static Optional<Look> find(String name) {
        return all().stream().filter(l -> l.name().equals(name)).findFirst();
    }

    private static Look inRegister() {
        return Look.atRest("in-register", new Rgb(), new Shift())
                .withNote("Separates and rejoins and changes nothing: a beginning.");
    }

    private static Look rgbSplit() {
        List<LaneKind> lanes = new Rgb().lanes();
        List<Dial> dials = new ArrayList<>();
        for (int lane = 0; lane < lanes.size(); lane++) {
            for (String axis : List.of("x", "y")) {
                dials.add(
                        new Dial(
                                lanes.get(lane).id() + "-" + axis,
                                lanes.get(lane).title() + " " + axis,
                                "px",
                                -FAR_PX,
                                FAR_PX,
                                0,
                                Value.ZERO,
                                List.of(new Link(shift(lane, axis), 1))));
            }
        }
        double rate = Jitter.NONE.frequencyHz();
        dials.add(onEveryLane("shake", "Shake", "px", 400, 0, OfLane.JITTER, lanes.size()));
        dials.add(onEveryLane("rate", "Rate", "Hz", 120, rate, OfLane.JITTER_RATE, lanes.size()));
        return Look.atRest("rgb-split", new Rgb(), new Shift())
                .withNote("Moves red, green and blue apart, and shakes them.")
                .withDials(dials);
    }

    /** One lane against the two others: red against cyan and its kin, for glasses of two colours. */
    private static Look stereoGlasses() {
        List<Dial> dials = new ArrayList<>();
        dials.add(halves("depth", "Depth", "x"));
        dials.add(halves("height", "Height", "y"));
        dials.add(
                Dial.choice(
                        PAIR,
                        "Glasses: left eye, right eye",
                        List.of(),
                        "red-cyan",
                        "green-magenta",
                        "blue-yellow",
                        "cyan-red",
                        "magenta-green",
                        "yellow-blue"));
        return Look.atRest("stereo-glasses", new Rgb(), new Shift())
                .withNote("Moves one lane and the two others apart, half the way each.")
                .withDials(dials);
    }

    private static Dial halves(String name, String title, String axis) {
        List<Link> links = new ArrayList<>();
        for (int pair = 0; pair < 6; pair++) {
            double way = pair < 3 ? 0.5 : -0.5;
            for (int lane = 0; lane < 3; lane++) {
                double half = lane == pair % 3 ? way : -way;
                links.add(new Link(shift(lane, axis), half, new Dial.Only(PAIR, pair)));
            }
        }
        return new Dial(name, title, "px", -FAR_PX, FAR_PX, 0, Value.ZERO, links);
    }

    private static Dial onEveryLane(
            String name,
            String title,
            String unit,
            double max,
            double rest,
            String target,
            int lanes) {
        return new Dial(
                name,
                title,
                unit,
                0,
                max,
                rest,
                Value.of(rest),
                IntStream.range(0, lanes)
                        .mapToObj(lane -> new Link(shift(lane, target), 1))
                        .toList());
    }

    private static Target shift(int lane, String parameter) {
        return new OfLane("shift-1", lane, parameter);
    }
}
