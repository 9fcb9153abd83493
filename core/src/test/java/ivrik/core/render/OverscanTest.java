package ivrik.core.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.cache.CacheKey;
import ivrik.core.cache.FrameCache;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.look.Overscan;
import ivrik.core.look.Overscan.Kind;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Keyframe;
import ivrik.core.motion.Value;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.project.Project;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.ValidRegion;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;

import org.junit.jupiter.api.Test;

import java.util.ArrayList;
import java.util.List;

/** White pictures move over black: any darker pixel is an uncovered edge. */
class OverscanTest {
    private static final Size SIZE = new Size(160, 90);
    private static final Look SPLIT = empty(BuiltInLooks.named("rgb-split"));

    private final Scene scene = new Scene(white());

    private static Frame white() {
        Plane white = Plane.flat(SIZE.width(), SIZE.height(), 1);
        return Frame.opaque(white, white, white);
    }

    private static Look empty(Look look) {
        return look.withStep(0, s -> s.withEdgeFill(EdgeFill.EMPTY));
    }

    private static double worst(Scene scene, Look look) {
        double worst = 0;
        Project project = scene.project(look);
        for (long n = 0; n < Scene.FRAMES; n++) {
            for (Plane plane : scene.render(project, n).colour()) {
                for (float v : plane.data()) {
                    worst = Math.max(worst, Math.abs(v - 1));
                }
            }
        }
        return worst;
    }

    @Property(tries = 30)
    void overscanIsSufficientAndMinimal(
            @ForAll boolean across,
            @ForAll @DoubleRange(min = -9, max = 9) double red,
            @ForAll @DoubleRange(min = -6, max = 6) double blue,
            @ForAll @DoubleRange(max = 4) double shake,
            @ForAll Sampler sampler,
            @ForAll @IntRange(min = 1, max = 38) int at) {
        // long enough that half a percent exceeds the width of the cubic kernel
        Plane white = across ? Plane.flat(1400, 12, 1) : Plane.flat(12, 1400, 1);
        Scene strip = new Scene(Frame.opaque(white, white, white));
        String axis = across ? "x" : "y";
        Value moving =
                new Value(
                        0,
                        List.of(
                                new Keyframe(0, 0, Ease.LINEAR),
                                new Keyframe(at, red, Ease.LINEAR),
                                new Keyframe(39, -red / 2, Ease.LINEAR)));
        Look look =
                SPLIT.withStep(0, s -> s.withSampler(sampler))
                        .withSettings(0, 0, a -> a.with(axis, moving))
                        .withSettings(0, 1, a -> a.with(axis, shaken(shake)))
                        .withSettings(0, 2, a -> a.with(axis, Value.of(blue)));
        OverscanFinder.Result needed = strip.demanded(look);
        assertThat(worst(strip, look.withOverscan(new Overscan(Kind.AUTOMATIC, 1))))
                .isLessThan(1e-5);
        if (needed.scale() > 1.005) {
            Overscan less = new Overscan(Kind.FIXED, needed.scale() * 0.995);
            assertThat(worst(strip, look.withOverscan(less))).isGreaterThan(1e-3);
        }
    }

    /** Keyframes at every frame, with a random shift each. */
    private static Value shaken(double by) {
        List<Keyframe> keyframes = new ArrayList<>();
        for (int n = 0; n < Scene.FRAMES; n++) {
            keyframes.add(new Keyframe(n, by * Math.sin(n * 2.4), Ease.HOLD));
        }
        return new Value(0, keyframes);
    }

    @Test
    void overscanIsMinimalAndNamesItsFrame() {
        Value once =
                new Value(0, List.of(new Keyframe(0, 0, Ease.HOLD), new Keyframe(7, 5, Ease.HOLD)));
        Look look = SPLIT.withSettings(0, 1, a -> a.with("x", once));
        OverscanFinder.Result needed = scene.demanded(look);
        assertThat(needed.frame()).isEqualTo(7);
        // five uncovered columns and one more within the cubic kernel: 79.5 / (79.5 - 6)
        assertThat(needed.scale()).isCloseTo(79.5 / 73.5, within(1e-12));
        assertThat(needed.covered()).isEqualTo(new ValidRegion(5, 0, 160, 90));
    }

    @Test
    void pendingOverscanKeepsTheFormerValue() {
        OverscanFinder overscans = new OverscanFinder();
        Look look = SPLIT.withOverscan(new Overscan(Kind.AUTOMATIC, 1));
        Project before = scene.project(look.withDial("red-x", 8));
        Planner first = new Planner(before, overscans);
        assertThat(scale(first.guess(3))).isEqualTo(1);
        Plan exact = first.plan(3);
        assertThat(scale(exact)).isGreaterThan(1.1);
        assertThat(first.guess(3)).isEqualTo(exact);
        Planner edited = new Planner(scene.project(look.withDial("red-x", 12)), overscans);
        assertThat(scale(edited.guess(3))).isEqualTo(scale(exact));
        assertThat(scale(edited.plan(3))).isGreaterThan(scale(exact));
        assertThat(edited.guess(3)).isEqualTo(edited.plan(3));
    }

    private static double scale(Plan plan) {
        return plan.layers().getFirst().looks().getFirst().overscan();
    }

    @Test
    void equalRequestsShareOneSearch() throws Exception {
        OverscanFinder overscans = new OverscanFinder();
        Project project =
                scene.project(
                        SPLIT.withOverscan(new Overscan(Kind.AUTOMATIC, 1))
                                .withDial("shake", 9)
                                .withDial("blue-y", 3));
        try (var threads = java.util.concurrent.Executors.newFixedThreadPool(3)) {
            List<java.util.concurrent.Future<Plan>> all = new ArrayList<>();
            for (int i = 0; i < 3; i++) {
                all.add(threads.submit(() -> new Planner(project, overscans).plan(5)));
            }
            for (var each : all) {
                assertThat(each.get()).isEqualTo(Planner.plan(project, 5));
            }
        }
    }

    @Test
    void fixedMutedAndNeutralChannelsNeedNoOverscan() {
        assertThat(scene.demanded(SPLIT).scale()).isEqualTo(1);
        Look moved = SPLIT.withDial("red-x", 8);
        for (Look look :
                List.of(
                        moved.withChannel(0, s -> s.withFixed(true)),
                        moved.withChannel(0, s -> s.withMute(true)))) {
            assertThat(scene.demanded(look).scale()).isEqualTo(1);
        }
        assertThat(scene.demanded(moved).scale()).isGreaterThan(1.1);
    }

    @Test
    void enlargingKeepsTheMiddleAndALinearRamp() {
        Plane ramp = Plane.of(41, 1);
        for (int x = 0; x < 41; x++) {
            ramp.data()[x] = x;
        }
        Plane out = enlarged(ramp, 2);
        assertThat(out.at(20, 0)).isEqualTo(20f);
        for (int x = 4; x < 37; x++) {
            assertThat(out.at(x, 0)).isCloseTo(20 + (x - 20) / 2f, within(1e-4f));
        }
        assertThat(new OverscanStage(1).isNeutral()).isTrue();
    }

    private static Plane enlarged(Plane plane, double times) {
        RenderContext renderContext =
                new RenderContext(1, Workers.shared(), Cancellation.NEVER, new FrameCache(0));
        PictureState state =
                new PictureState(
                        Frame.opaque(plane, plane, plane), CacheKey.of("enlarged"), renderContext);
        new OverscanStage(times).take(state);
        return state.frame().colour().getFirst();
    }

    @Test
    void trimCropsToTheCoveredAreaWithoutShift() {
        Plane ramp = Plane.of(SIZE.width(), SIZE.height());
        for (int i = 0; i < ramp.data().length; i++) {
            ramp.data()[i] = i % SIZE.width() / 200f;
        }
        Scene ramps = new Scene(Frame.opaque(ramp, ramp, ramp));
        Look look = SPLIT.withDial("red-x", 6).withDial("blue-y", -4);
        Project project = ramps.project(look);
        ValidRegion covered = ramps.demanded(look).covered();
        Project trimmed = SequenceCrop.to(project, covered);
        assertThat(trimmed.sequence().size()).isEqualTo(new Size(154, 86));
        Frame before = ramps.render(project, 3);
        Frame after = ramps.render(trimmed, 3).premultiplied(Workers.shared());
        for (int c = 0; c < 3; c++) {
            for (int y = 0; y < 86; y++) {
                for (int x = 0; x < 154; x++) {
                    // moves sample from the edge of the picture itself
                    if (c != 0 || x >= 6) {
                        if (c != 2 || y < 82) {
                            assertThat(after.colour().get(c).at(x, y))
                                    .isCloseTo(before.colour().get(c).at(x + 6, y), within(1e-6f));
                        }
                    }
                }
            }
        }
    }
}
