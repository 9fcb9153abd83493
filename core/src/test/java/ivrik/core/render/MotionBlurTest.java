package ivrik.core.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.look.Shutter;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Keyframe;
import ivrik.core.motion.Value;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.sampling.Sampler;
import ivrik.core.separation.Rgb;
import ivrik.core.treatment.Shift;
import ivrik.core.treatment.TiledScroll;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import java.util.List;

class MotionBlurTest {
    private static final int WIDTH = 100;
    private static final int HEIGHT = 6;
    private static final int EDGE = 30;

    /** White left of an edge. */
    private static Plane edge() {
        Plane plane = Plane.of(WIDTH, HEIGHT);
        for (int y = 0; y < HEIGHT; y++) {
            for (int x = 0; x < EDGE; x++) {
                plane.data()[plane.row(y) + x] = 1;
            }
        }
        return plane;
    }

    private static final Frame EDGED = Frame.opaque(edge(), edge(), edge());

    private static Value moving(double pxAFrame) {
        return new Value(
                0,
                List.of(
                        new Keyframe(0, 0, Ease.LINEAR),
                        new Keyframe(10, 10 * pxAFrame, Ease.LINEAR)));
    }

    /** Red moves evenly; green and blue are fixed. */
    private static Look moving(double pxAFrame, Shutter shutter) {
        return Look.atRest("moving", new Rgb(), new Shift())
                .withStep("shift-1", s -> s.withSampler(Sampler.LINEAR))
                .withSettings(0, 0, a -> a.with("x", moving(pxAFrame)))
                .withShutter(shutter);
    }

    private static Shutter open(double angle, double phase, int samples) {
        return new Shutter(Value.of(angle), phase, samples);
    }

    private static Frame render(Frame picture, Look look, long frame) {
        Scene scene = new Scene(picture);
        return scene.render(scene.project(look), frame);
    }

    /** The mean coverage of pixel {@code x} by an edge that moves between two positions. */
    private static double swept(int x, double from, double to) {
        return (integral(to - x) - integral(from - x)) / (to - from);
    }

    /** The integral of a pixel's coverage, from its left side to an edge at distance {@code s}. */
    private static double integral(double s) {
        return s <= 0 ? 0 : s >= 1 ? s - 0.5 : s * s / 2;
    }

    @ParameterizedTest
    @CsvSource({"4,360,0,16", "4,180,0,8", "6,360,-180,24", "3,720,90,24", "1,360,0,4"})
    void aLineThatMovesEvenlyIsBlurredByABox(
            double speed, double angle, double phase, int samples) {
        Frame blurred = render(EDGED, moving(speed, open(angle, phase, samples)), 5);
        double from = EDGE + speed * (5 + phase / 360);
        double to = from + speed * angle / 360;
        for (int x = 0; x < WIDTH; x++) {
            assertThat((double) blurred.colour().get(0).data()[2 * WIDTH + x])
                    .as("pixel %d", x)
                    .isCloseTo(swept(x, from, to), within(1e-6));
        }
        assertThat(blurred.colour().get(1).data()).isEqualTo(edge().data());
    }

    /** A white bar that crosses the picture by 400 px a frame leaves an even trail, not a comb. */
    @ParameterizedTest
    @CsvSource({
        "45,40", "90,40", "90,25", "137,40", "180,40", "270,40", "360,40", "360,13", "720,40"
    })
    void theTrailOfAFastBarIsEven(double angle, int bar) {
        Plane plane = Plane.of(1400, 4);
        for (int y = 0; y < 4; y++) {
            for (int x = 100; x < 100 + bar; x++) {
                plane.data()[plane.row(y) + x] = 1;
            }
        }
        Look look = moving(400, open(angle, 0, 16));
        Frame blurred = render(Frame.opaque(plane, plane, plane), look, 0);
        double travel = 400 * angle / 360;
        double even = Math.min(1, bar / travel);
        float[] red = blurred.colour().get(0).data();
        double least = 1;
        double most = 0;
        for (int x = 100 + bar + 4; x < 100 + travel - 4; x++) {
            least = Math.min(least, red[x]);
            most = Math.max(most, red[x]);
        }
        assertThat((most - least) / even).isLessThan(0.02);
        assertThat(most).isCloseTo(even, within(0.02 * even));
    }

    @Test
    void manySamplesAreAveragedLikeFew() {
        Plane white = Plane.flat(WIDTH, HEIGHT, 1);
        Frame title = Frame.straight(white, white, white, edge());
        for (Frame picture : List.of(EDGED, title)) {
            Frame few = render(picture, moving(4, open(360, 0, 32)), 5);
            Frame many = render(picture, moving(4, open(360, 0, 64)), 5);
            for (int x = 0; x < WIDTH; x++) {
                assertThat(many.colour().get(0).data()[x])
                        .isCloseTo(few.colour().get(0).data()[x], within(1e-5f));
            }
            assertThat(many.coverage().size()).isEqualTo(few.coverage().size());
        }
    }

    @Test
    void aFixedPictureIsSampledOnce() {
        Scene scene = new Scene(EDGED);
        Look still = moving(4, open(360, 0, 16));
        Plan plan = Planner.plan(scene.project(still), 20);
        assertThat(plan.layers().getFirst().looks().getFirst().moments()).isEmpty();
        Plan moving = Planner.plan(scene.project(still), 5);
        assertThat(moving.layers().getFirst().looks().getFirst().moments()).hasSize(16);
    }

    @Test
    void motionBlurIncludesCoverage() {
        Plane white = Plane.flat(WIDTH, HEIGHT, 1);
        Frame title = Frame.straight(white, white, white, edge());
        Look look = moving(4, open(360, 0, 16));
        Frame blurred = render(title, look, 5);
        int middle = 2 * WIDTH + EDGE + 21;
        double half = swept(EDGE + 21, EDGE + 20, EDGE + 24);
        assertThat((double) blurred.colour().get(0).data()[middle]).isCloseTo(half, within(1e-6));
        assertThat((double) blurred.coverage().get(0).data()[middle]).isCloseTo(half, within(1e-6));
        assertThat(blurred.coverage().get(1).data()[middle]).isZero();
    }

    private static Frame textured() {
        List<Plane> planes =
                java.util.stream.IntStream.range(0, 3)
                        .mapToObj(
                                channel -> {
                                    Plane plane = Plane.of(WIDTH, HEIGHT);
                                    for (int i = 0; i < plane.data().length; i++) {
                                        plane.data()[i] = (i * 53 + channel * 17) % 241 / 240f;
                                    }
                                    return plane;
                                })
                        .toList();
        return Frame.opaque(planes.get(0), planes.get(1), planes.get(2));
    }

    @Property(tries = 20)
    void aTileSwipeStartsAndEndsUnshifted(
            @ForAll @IntRange(min = 0, max = 39) int at,
            @ForAll @IntRange(max = 12) int length,
            @ForAll @IntRange(min = -3, max = 3) int tiles,
            @ForAll @IntRange(min = -200, max = 200) int angle) {
        Look look =
                BuiltInLooks.named("tile-swipe")
                        .withDial("at", at)
                        .withDial("length", length)
                        .withDial("tiles", tiles)
                        .withDial("angle", angle)
                        .withDial("shutter", 180)
                        .withDial("split", 3);
        Frame source = textured();
        for (int frame = 0; frame < Scene.FRAMES; frame++) {
            if (frame < at - length / 2.0 || frame > at + length / 2.0) {
                Frame rendered = render(source, look, frame);
                for (int channel = 0; channel < 3; channel++) {
                    assertThat(rendered.colour().get(channel).data())
                            .isEqualTo(source.colour().get(channel).data());
                }
            }
        }
    }

    @Test
    void repeatedTilesStayCopiesUnderLaterMoves() {
        Look look =
                Look.atRest("travel", new Rgb(), new TiledScroll(), new Shift())
                        .withSettings(0, 0, a -> a.with("x", Value.of(0.5)))
                        .withSettings(1, 0, a -> a.with("x", Value.of(7)));
        Frame source = textured();
        float[] red = render(source, look, 0).colour().get(0).data();
        for (int x = 0; x < WIDTH; x++) {
            assertThat(red[(x + WIDTH / 2 + 7) % WIDTH])
                    .isEqualTo(source.colour().get(0).data()[x]);
        }
        Scene scene = new Scene(source);
        Look travel = look.withSettings(1, 0, a -> a.with("x", Value.ZERO));
        assertThat(scene.demanded(travel).scale()).isOne();
        assertThat(scene.demanded(look).scale()).isBetween(1.1, 1.5);
    }

    @Test
    void atItsMiddleATileSwipeIsHalfATileWithSplitChannels() {
        Look look =
                BuiltInLooks.named("tile-swipe")
                        .withDial("at", 20)
                        .withDial("tiles", 1)
                        .withDial("split", 3);
        Frame source = textured();
        Frame half = render(source, look, 20);
        for (int x = 0; x < WIDTH; x++) {
            int row = 3 * WIDTH;
            int from = (x + WIDTH / 2) % WIDTH;
            assertThat(half.colour().get(1).data()[row + x])
                    .isEqualTo(source.colour().get(1).data()[row + from]);
            assertThat(half.colour().get(0).data()[row + (x + 3) % WIDTH])
                    .isEqualTo(source.colour().get(0).data()[row + from]);
            assertThat(half.colour().get(2).data()[row + (x + WIDTH - 3) % WIDTH])
                    .isEqualTo(source.colour().get(2).data()[row + from]);
        }
        Frame blurred = render(source, look.withDial("shutter", 180), 20);
        assertThat(blurred.colour().get(1).data()).isNotEqualTo(half.colour().get(1).data());
    }
}
