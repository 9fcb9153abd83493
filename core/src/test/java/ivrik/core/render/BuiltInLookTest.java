package ivrik.core.render;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.Pictured;
import ivrik.core.cache.FrameCache;
import ivrik.core.json.LookJson;
import ivrik.core.look.BuiltInLook;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Dial;
import ivrik.core.look.Look;
import ivrik.core.look.LookGroup;
import ivrik.core.motion.Instant;
import ivrik.core.motion.Rational;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.sampling.Resample;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.ConcurrentHashMap;

/** Laws of every built-in look. */
class BuiltInLookTest {
    private static final int W = 64;
    private static final int H = 36;
    private static final int RANDOM_SETTINGS = 10;

    /** A value far outside the picture's range, which no look produces. */
    private static final float FAR = 40;

    static List<BuiltInLook> all() {
        return BuiltInLooks.shelf();
    }

    @Test
    void everyLookIsDistinct() {
        assertThat(all()).hasSizeGreaterThanOrEqualTo(24);
        assertThat(all().stream().map(b -> b.look().name())).doesNotHaveDuplicates();
        assertThat(all().stream().map(b -> b.look().title()))
                .doesNotHaveDuplicates()
                .noneMatch(String::isEmpty);
        for (BuiltInLook each : all()) {
            assertThat(each.look().note()).endsWith(".");
            assertThat(each.look().tags()).isNotEmpty();
            assertThat(each.look().dials()).extracting(Dial::title).doesNotHaveDuplicates();
        }
    }

    @ParameterizedTest
    @MethodSource("all")
    void aLookAtRestAddsNoWork(BuiltInLook each) {
        for (long frame : new long[] {0, 7, 100}) {
            Instant instant = Instant.of(frame, Rational.of(24));
            assertThat(LookPlanner.plan(each.atZero(), instant).isNeutral()).isTrue();
        }
    }

    /** Includes every dial target, which a reader refuses if absent. */
    @ParameterizedTest
    @MethodSource("all")
    void aLookRoundTripsThroughAFile(BuiltInLook each) {
        LookJson.Reading reading = LookJson.read(LookJson.write(each.look()));
        assertThat(reading.problems()).isEmpty();
        assertThat(reading.look()).isEqualTo(each.look());
    }

    private static Frame picture() {
        return Frame.opaque(
                Pictured.smooth(W, H, 0.3), Pictured.noise(W, H, 5), Pictured.smooth(W, H, 2.3));
    }

    private static Frame done(Look look, Frame picture, long frame, Workers workers) {
        Scene scene = new Scene(picture);
        return scene.renderer(workers)
                .render(Planner.plan(scene.project(look), frame), 1, Cancellation.NEVER);
    }

    private static void assertSound(Frame frame, String what) {
        for (Plane plane : frame.colour()) {
            for (float v : plane.data()) {
                if (!(Math.abs(v) < FAR)) {
                    throw new AssertionError(what + " gives " + v);
                }
            }
        }
    }

    @ParameterizedTest
    @MethodSource("all")
    void everyDialSettingRenders(BuiltInLook each) {
        Workers workers = Workers.shared();
        for (Dial dial : each.look().dials()) {
            for (double end : new double[] {dial.min(), dial.max()}) {
                Look look = each.withExampleSettings().withDial(dial.name(), end);
                assertSound(done(look, picture(), 3, workers), dial.name() + " at " + end);
            }
        }
        Random random = new Random(each.look().name().hashCode());
        for (int i = 0; i < RANDOM_SETTINGS; i++) {
            Look look = each.look();
            for (Dial dial : look.dials()) {
                look = look.withDial(dial.name(), drawn(dial, random));
            }
            assertSound(done(look, picture(), i, workers), "setting " + i);
        }
    }

    /** A random dial value; wide ranges are drawn closer to rest. */
    private static double drawn(Dial dial, Random random) {
        double share = Math.pow(random.nextDouble(), dial.max() - dial.min() > 100 ? 4 : 1);
        double end = random.nextBoolean() ? dial.min() : dial.max();
        double value = dial.rest() + share * (end - dial.rest());
        return dial.choices().isEmpty() ? value : Math.rint(value);
    }

    @ParameterizedTest
    @MethodSource("all")
    void anyThreadsAndAnyOrderOfFramesGiveTheSameBits(BuiltInLook each) {
        Look look = each.withExampleSettings();
        try (Workers one = new Workers(1);
                Workers five = new Workers(5)) {
            Frame forward = done(look, picture(), 11, one);
            done(look, picture(), 40, five);
            Frame again = done(look, picture(), 11, five);
            for (int c = 0; c < 3; c++) {
                assertThat(again.colour().get(c).sameSamples(forward.colour().get(c))).isTrue();
            }
        }
    }

    /** A scene that includes a dim, even grey. */
    private static Frame scene(int width, int height) {
        Plane[] planes = new Plane[3];
        for (int c = 0; c < 3; c++) {
            planes[c] = Plane.of(width, height);
            for (int y = 0; y < height; y++) {
                for (int x = 0; x < width; x++) {
                    double u = (x + 0.5) / width;
                    double v = (y + 0.5) / height;
                    double lamp = Math.exp(-80 * (sq(u - 0.3 - 0.1 * c) + sq(v - 0.4) / 3));
                    planes[c].data()[y * width + x] = (float) (0.25 + 0.2 * u + 0.5 * lamp);
                }
            }
        }
        return Frame.opaque(planes[0], planes[1], planes[2]);
    }

    private static double sq(double v) {
        return v * v;
    }

    /**
     * A look on one scene at widths of 3840 (for looks with fine structure), 1920, 1280 and 640 px. All
     * renders are reduced to a size coarser than grain, masks and lines; their means then agree within 1 % of
     * full scale. Screens preserve light, so they are compared in linear light.
     */
    @ParameterizedTest
    @MethodSource("all")
    void aLookIsEqualAtEverySize(BuiltInLook each) {
        Size full = new Size(3840, 2160);
        Size coarse = new Size(32, 18);
        Scene scene = new Scene(SCENES.computeIfAbsent(full, s -> scene(s.width(), s.height())));
        Plan plan = Planner.plan(scene.project(each.withExampleSettings()), 5);
        boolean fine = each.group() == LookGroup.FILM || each.group() == LookGroup.SCREEN;
        Frame large = reduced(each, rendered(plan, fine ? 1 : 0.5), coarse);
        double[] smaller = {1 / 2.0, 1 / 3.0, 1 / 6.0};
        for (double scale : fine ? smaller : Arrays.copyOfRange(smaller, 1, 3)) {
            Frame small = reduced(each, rendered(plan, scale), coarse);
            double apart = 0;
            for (int c = 0; c < 3; c++) {
                float[] a = large.colour().get(c).data();
                float[] b = small.colour().get(c).data();
                for (int i = 0; i < a.length; i++) {
                    apart += Math.abs(a[i] - b[i]) / (3 * a.length);
                }
            }
            assertThat(apart).as("scale %s", scale).isLessThan(0.01);
        }
    }

    /** The scene by size. */
    private static final Map<Size, Frame> SCENES = new ConcurrentHashMap<>();

    private static Frame rendered(Plan plan, double scale) {
        Renderer renderer =
                new Renderer(
                        (p, shown) ->
                                SCENES.computeIfAbsent(
                                        shown, size -> scene(size.width(), size.height())),
                        Workers.shared(),
                        new FrameCache(1 << 28));
        return renderer.render(plan, scale, Cancellation.NEVER).premultiplied(Workers.shared());
    }

    private static Frame reduced(BuiltInLook look, Frame frame, Size size) {
        boolean light = look.look().step("phosphor-screen-1").isPresent();
        Frame seen = light ? frame.mapPlanes(BuiltInLookTest::light) : frame;
        return Resample.to(seen, size, Workers.shared());
    }

    /** sRGB codes in linear light, by IEC 61966-2-1. */
    private static Plane light(Plane codes) {
        float[] light = new float[codes.width() * codes.height()];
        for (int i = 0; i < light.length; i++) {
            double v = codes.at(i % codes.width(), i / codes.width());
            light[i] = (float) (v <= 0.04045 ? v / 12.92 : Math.pow((v + 0.055) / 1.055, 2.4));
        }
        return Plane.of(codes.width(), codes.height(), light);
    }
}
