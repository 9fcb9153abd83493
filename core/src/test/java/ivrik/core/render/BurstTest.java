package ivrik.core.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Burst;
import ivrik.core.look.Burst.Direction;
import ivrik.core.look.Burst.Drive;
import ivrik.core.look.Look;
import ivrik.core.look.Target.OfChannel;
import ivrik.core.motion.Anchor;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Instant;
import ivrik.core.motion.Keyframe;
import ivrik.core.motion.Rational;
import ivrik.core.motion.Value;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.project.Clip;
import ivrik.core.project.Project;
import ivrik.core.separation.Rgb;
import ivrik.core.treatment.Settings;
import ivrik.core.treatment.Shift;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

import org.junit.jupiter.api.Test;

import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/** Pictures of looks whose bursts move channels. */
class BurstTest {
    private static final int WIDTH = 24;
    private static final int HEIGHT = 10;

    /** A different picture at each frame; all samples differ. */
    private static Frame picture(long frame) {
        List<Plane> planes =
                IntStream.range(0, 3)
                        .mapToObj(
                                channel -> {
                                    Plane plane = Plane.of(WIDTH, HEIGHT);
                                    for (int i = 0; i < WIDTH * HEIGHT; i++) {
                                        plane.data()[i] =
                                                (i * 37 + channel * 101 + frame * 11) % 251 / 250f;
                                    }
                                    return plane;
                                })
                        .toList();
        return Frame.opaque(planes.get(0), planes.get(1), planes.get(2));
    }

    private final Scene scene = new Scene(BurstTest::picture);

    private Frame render(Look look, long frame) {
        return scene.render(scene.project(look), frame);
    }

    private static float[] channel(Frame frame, int channel) {
        return frame.colour().get(channel).data();
    }

    private static void assertSource(Frame frame, long number) {
        for (int channel = 0; channel < 3; channel++) {
            assertThat(channel(frame, channel)).isEqualTo(channel(picture(number), channel));
        }
    }

    private static Look split(Map<String, Double> dials) {
        Look look = BuiltInLooks.named("burst-split");
        for (var dial : dials.entrySet()) {
            look = look.withDial(dial.getKey(), dial.getValue());
        }
        return look;
    }

    @Property(tries = 30)
    void outsideABurstFramesEqualTheSource(
            @ForAll @IntRange(min = 0, max = 39) int at,
            @ForAll @IntRange(max = 9) int before,
            @ForAll @IntRange(max = 9) int after,
            @ForAll @IntRange(max = 5) int phases) {
        Look look =
                split(
                        Map.of(
                                "at", (double) at,
                                "before", (double) before,
                                "after", (double) after,
                                "phases", (double) phases,
                                "peak", 3.7,
                                "angle", 30.0,
                                "shake", 2.0));
        for (int frame = 0; frame < Scene.FRAMES; frame++) {
            boolean inside = frame >= at - before && frame <= at + after;
            Frame rendered = render(look, frame);
            assertThat(channel(rendered, 1)).isEqualTo(channel(picture(frame), 1));
            if (!inside) {
                assertSource(rendered, frame);
            } else if (frame == at || phases > 0) {
                assertThat(channel(rendered, 0)).isNotEqualTo(channel(picture(frame), 0));
            }
        }
    }

    @Test
    void atThePeakRedAndBlueMoveApart() {
        Map<String, Double> dials = Map.of("at", 20.0, "peak", 4.0);
        Frame across = render(split(dials), 20);
        float[] red = channel(picture(20), 0);
        float[] blue = channel(picture(20), 2);
        for (int y = 0; y < HEIGHT; y++) {
            for (int x = 4; x < WIDTH - 4; x++) {
                int i = y * WIDTH + x;
                assertThat(channel(across, 0)[i]).isEqualTo(red[i - 4]);
                assertThat(channel(across, 2)[i]).isEqualTo(blue[i + 4]);
            }
        }
        Frame down = render(split(Map.of("at", 20.0, "peak", 4.0, "angle", 90.0)), 20);
        for (int i = 4 * WIDTH; i < (HEIGHT - 4) * WIDTH; i++) {
            assertThat(channel(down, 0)[i]).isEqualTo(red[i - 4 * WIDTH]);
            assertThat(channel(down, 2)[i]).isEqualTo(blue[i + 4 * WIDTH]);
        }
    }

    private static Settings settings(Look look, int channel, long frame) {
        Instant instant = Instant.of(frame, Scene.RATE);
        return new LookPlanner(look, instant, "here").settings(look.steps().getFirst(), channel);
    }

    private static double x(Look look, int channel, long frame) {
        return settings(look, channel, frame).number("x");
    }

    @Test
    void phasesAreMirroredAndRepeated() {
        Look look = split(Map.of("at", 10.0, "peak", 8.0, "repeat", 15.0));
        for (int d = 0; d <= 6; d++) {
            double step = 8 * (d == 0 ? 1 : d <= 2 ? 0.75 : d <= 4 ? 0.5 : 0.25);
            assertThat(x(look, 0, 10 - d)).isEqualTo(step);
            assertThat(x(look, 0, 10 + d)).isEqualTo(step);
            assertThat(x(look, 2, 10 + d)).isEqualTo(-step);
            assertThat(x(look, 0, 25 + d)).isEqualTo(step);
        }
        assertThat(x(look, 0, 17)).isZero();
    }

    @Test
    void anAngleKeepsTheDistance() {
        Settings settings = settings(split(Map.of("peak", 10.0, "angle", 30.0)), 0, 0);
        assertThat(settings.number("x")).isCloseTo(10 * Math.sqrt(3) / 2, within(1e-12));
        assertThat(settings.number("y")).isCloseTo(5, within(1e-12));
    }

    private static Look withBurst(Burst burst) {
        return Look.atRest("own", new Rgb(), new Shift()).withBurst(burst);
    }

    private static Burst moving(Anchor anchor, Direction red) {
        return Burst.of("b", anchor, 3)
                .withDirections(List.of(red, Direction.FIXED, Direction.REVERSED))
                .withDrives(List.of(new Drive(new OfChannel("shift-1", 0, "x"), 10)));
    }

    @Test
    void randomDirectionsChangePerPhaseAndKeepTheDistance() {
        Look look = withBurst(moving(new Anchor.AtFrame(20), Direction.RANDOM));
        Settings peak = settings(look, 0, 20);
        assertThat(Math.hypot(peak.number("x"), peak.number("y"))).isCloseTo(10, within(1e-9));
        assertThat(x(look, 0, 18)).isEqualTo(x(look, 0, 19)).isNotEqualTo(x(look, 0, 22));
        Look other = withBurst(moving(new Anchor.AtFrame(20), Direction.RANDOM).withSeed(2));
        assertThat(x(other, 0, 20)).isNotEqualTo(x(look, 0, 20));
        assertThat(x(look.withSeed(2), 0, 20)).isEqualTo(x(other, 0, 20));
    }

    @Test
    void aBurstFollowsItsCut() {
        Look look = withBurst(moving(new Anchor.AtCut("clip-2"), Direction.AS_SET));
        for (int cut : new int[] {12, 17}) {
            Project project =
                    scene.project(look)
                            .withLayer(
                                    "l",
                                    l ->
                                            l.withClips(
                                                    List.of(
                                                            new Clip("a", 0, cut, 0),
                                                            new Clip("b", cut, 40 - cut, 3))));
            Plan there = Planner.plan(project, cut - 1);
            assertThat(step(there).number("x")).isEqualTo(10);
            assertThat(step(Planner.plan(project, cut)).number("x")).isEqualTo(10);
            assertThat(step(Planner.plan(project, cut + 1)).number("x")).isEqualTo(7.5);
            assertThat(Planner.plan(project, cut - 8).layers().getFirst().isNeutral()).isTrue();
        }
    }

    private static Settings step(Plan plan) {
        return plan.layers().getFirst().looks().getFirst().steps().getFirst().channels().getFirst();
    }

    @Test
    void phasesAreConstantWithinAFrame() {
        Look look = withBurst(moving(new Anchor.AtFrame(20), Direction.AS_SET));
        Instant between = Instant.of(18, Scene.RATE).withFrame(new Rational(37, 2));
        assertThat(
                        new LookPlanner(look, between, "here")
                                .settings(look.steps().getFirst(), 0)
                                .number("x"))
                .isEqualTo(7.5);
    }

    @Test
    void itsStrengthIsKeyframed() {
        Value rising =
                new Value(
                        0,
                        List.of(
                                new Keyframe(20, 3, Ease.LINEAR),
                                new Keyframe(22, 5, Ease.LINEAR)));
        Look look =
                withBurst(moving(new Anchor.AtFrame(20), Direction.AS_SET).withStrength(rising));
        assertThat(x(look, 0, 20)).isEqualTo(30);
        assertThat(x(look, 0, 21)).isEqualTo(4 * 7.5);
    }

    @Test
    void aDelayedChannelIsTheEarlierSource() {
        Look lag = BuiltInLooks.named("channel-delay").withDial("red", 3).withDial("blue", -2);
        Frame at = render(lag, 10);
        assertThat(channel(at, 0)).isEqualTo(channel(picture(7), 0));
        assertThat(channel(at, 1)).isEqualTo(channel(picture(10), 1));
        assertThat(channel(at, 2)).isEqualTo(channel(picture(12), 2));
        assertThat(channel(render(lag, 1), 0)).isEqualTo(channel(picture(0), 0));
        assertThat(channel(render(lag, 39), 2)).isEqualTo(channel(picture(39), 2));
        assertSource(render(lag.withDial("fade", 1), 10), 10);
        float[] half = channel(render(lag.withDial("fade", 0.5), 10), 0);
        assertThat(half[5])
                .isCloseTo(
                        (channel(picture(7), 0)[5] + channel(picture(10), 0)[5]) / 2,
                        within(1e-6f));
    }
}
