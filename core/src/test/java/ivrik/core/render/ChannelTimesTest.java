package ivrik.core.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.cache.FrameCache;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.ChannelSource;
import ivrik.core.look.ListEdits;
import ivrik.core.look.Look;
import ivrik.core.look.SlitScan;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Keyframe;
import ivrik.core.motion.Value;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.separation.Rgb;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.Gain;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

import java.util.List;
import java.util.function.UnaryOperator;

/**
 * Channels with their own time: a delay, a delay that varies across the picture, their own cuts.
 */
class ChannelTimesTest {
    private static final int W = 20;
    private static final int H = 10;

    /** The first frame of the second shot. */
    private static final long CUT = 20;

    private static Frame grey(double value) {
        Plane p = Plane.flat(W, H, (float) value);
        return Frame.opaque(p, p, p);
    }

    /** Frame n of the first source is grey of n hundredths; the second source is 0.5 lighter. */
    private final Renderer renderer =
            new Renderer(
                    (p, s) -> grey(p.frame() / 100.0 + (p.source().id().equals("b") ? 0.5 : 0)),
                    Workers.shared(),
                    new FrameCache(1 << 24));

    private static Project project(Look look) {
        return new Scene(grey(0)).project(look);
    }

    /** The first shot shows frames 3 to 22 of its source, the second shot frames 5 on. */
    private static Project twoShots(Look look) {
        return project(look)
                .withLayer(
                        "l",
                        l ->
                                l.withClips(
                                        List.of(
                                                new Clip("first", "a", 0, CUT, 3),
                                                new Clip("second", "b", CUT, 20, 5))));
    }

    private static Look red(UnaryOperator<ChannelSource> change) {
        return BuiltInLooks.named("neutral")
                .withChannel(0, s -> s.withChannelSource(change.apply(s.channelSource())));
    }

    private static Look slit(UnaryOperator<SlitScan> change) {
        return red(f -> f.withSlitScan(change.apply(f.slitScan())));
    }

    private float at(Project project, long frame, int channel, int x) {
        return renderer.render(project, frame).colour().get(channel).at(x, 4);
    }

    @ParameterizedTest
    @CsvSource({
        // The first shot continues with its own frames until the channel cuts.
        "3, 19, 0.22",
        "3, 22, 0.25",
        "3, 23, 0.58",
        // The second shot starts before its first frame, with earlier frames of its source.
        "-3, 16, 0.19",
        "-3, 17, 0.52",
        "-8, 14, 0.50"
    })
    void aChannelCutsAtItsOwnFrame(int later, long frame, float expected) {
        Project project = twoShots(red(f -> f.withCutFrames(Value.of(later))));
        assertThat(at(project, frame, 0, 3)).isCloseTo(expected, within(1e-6f));
        boolean second = frame >= CUT;
        assertThat(at(project, frame, 1, 3))
                .isCloseTo((second ? 55 + frame - CUT : 3 + frame) / 100f, within(1e-6f));
    }

    @Test
    void awayFromCutsAChannelEqualsItsLayer() {
        Look look = red(f -> f.withCutFrames(Value.of(3)));
        for (long frame : new long[] {5, CUT - 1, CUT, CUT + 2, CUT + 3, 35}) {
            boolean between = frame >= CUT && frame < CUT + 3;
            LookPlan plan =
                    Planner.plan(twoShots(look), frame).layers().getFirst().looks().getFirst();
            assertThat(plan.channelSources().getFirst() == null)
                    .as("frame %d", frame)
                    .isEqualTo(!between);
            assertThat(plan.isNeutral()).isEqualTo(!between);
        }
    }

    @ParameterizedTest
    @ValueSource(doubles = {8, 3.5, -6})
    void aSlitScanIsLaterAcrossThePicture(double frames) {
        Look look = slit(s -> s.withDelayFrames(Value.of(frames)));
        for (int x = 0; x < W; x++) {
            double delay = frames * (x + 0.5) / W;
            assertThat(at(project(look), 20, 0, x))
                    .isCloseTo((float) ((20 - delay) / 100), within(1e-6f));
            assertThat(at(project(look), 20, 2, x)).isEqualTo(0.2f);
        }
    }

    @Test
    void aSlitScanGrowsAlongItsDirection() {
        Look down = slit(s -> s.withDelayFrames(Value.of(10)).withAngleDegrees(Value.of(90)));
        Frame out = renderer.render(project(down), 20);
        for (int y = 0; y < H; y++) {
            assertThat(out.colour().get(0).at(7, y))
                    .isCloseTo((float) ((20 - (y + 0.5)) / 100), within(1e-6f));
        }
    }

    @Test
    void aSlitScanFollowsAPictureOrTheChannel() {
        Look own = slit(s -> s.withDelayFrames(Value.of(10)).withBy(SlitScan.By.CHANNEL));
        assertThat(at(project(own), 20, 0, 3)).isCloseTo(0.18f, within(1e-6f));
        Look picture =
                slit(
                        s ->
                                s.withDelayFrames(Value.of(10))
                                        .withBy(SlitScan.By.PICTURE)
                                        .withPicture("b"));
        // The other source is at 0.7 at this frame, 7 frames behind.
        assertThat(at(project(picture), 20, 0, 3)).isCloseTo(0.13f, within(1e-6f));
    }

    @Test
    void aFixedPictureStaysBitExact() {
        Frame still = ivrik.core.Pictured.frame(W, H);
        Scene scene = new Scene(still);
        Look look = slit(s -> s.withDelayFrames(Value.of(7.3)).withWipeFrames(Value.of(4)));
        Frame out = scene.render(scene.project(look), 20);
        for (int c = 0; c < 3; c++) {
            assertThat(out.colour().get(c).sameSamples(still.colour().get(c))).isTrue();
        }
    }

    @Test
    void aWipeCutsLaterAcrossThePicture() {
        Look look = slit(s -> s.withWipeFrames(Value.of(5)));
        Project project = twoShots(look);
        for (long frame = CUT - 1; frame <= CUT + 6; frame++) {
            double first = (3 + frame) / 100.0;
            double second = (55 + frame - CUT) / 100.0;
            for (int x = 0; x < W; x++) {
                double cut = CUT + 5 * (x + 0.5) / W;
                double share = Math.clamp(frame + 1 - cut, 0, 1);
                assertThat(at(project, frame, 0, x))
                        .as("frame %d, pixel %d", frame, x)
                        .isCloseTo((float) (first + share * (second - first)), within(1e-6f));
            }
        }
    }

    @Test
    void framesBeforeTheSourceAreEmpty() {
        Look look =
                red(
                        f ->
                                f.withOutside(EdgeFill.EMPTY)
                                        .withSlitScan(f.slitScan().withDelayFrames(Value.of(10))));
        Frame out = renderer.render(project(look), 5);
        for (int x = 0; x < W; x++) {
            double delay = 10 * (x + 0.5) / W;
            double beyond = Math.clamp(delay - 5, 0, 1);
            assertThat(out.coverage().get(0).at(x, 4))
                    .isCloseTo((float) (1 - beyond), within(1e-6f));
            assertThat(out.coverage().get(1).at(x, 4)).isEqualTo(1);
        }
    }

    @Test
    void aDelayIsKeyframed() {
        Value growing =
                new Value(
                        0,
                        List.of(
                                new Keyframe(10, 0, Ease.LINEAR),
                                new Keyframe(20, 5, Ease.LINEAR)));
        Project project = project(red(f -> f.withDelayFrames(growing)));
        assertThat(at(project, 10, 0, 3)).isEqualTo(0.1f);
        assertThat(at(project, 16, 0, 3)).isCloseTo(0.13f, within(1e-6f));
        assertThat(at(project, 30, 0, 3)).isCloseTo(0.25f, within(1e-6f));
    }

    @Test
    void aPreviewEqualsTheReducedFullFrame() {
        Size full = new Size(W, H);
        Renderer sized =
                new Renderer(
                        (p, s) -> {
                            Plane flat = Plane.flat(s.width(), s.height(), p.frame() / 100f);
                            return Frame.opaque(flat, flat, flat);
                        },
                        Workers.shared(),
                        new FrameCache(1 << 24));
        Plan plan = Planner.plan(project(slit(s -> s.withDelayFrames(Value.of(8)))), 20);
        Plane small = sized.render(plan, 0.5, Cancellation.NEVER).colour().get(0);
        Plane large = sized.render(plan, 1, Cancellation.NEVER).colour().get(0);
        assertThat(small.size()).isEqualTo(full.scaled(0.5));
        for (int x = 0; x < W / 2; x++) {
            float mean = (large.at(2 * x, 4) + large.at(2 * x + 1, 4)) / 2;
            assertThat(small.at(x, 2)).isCloseTo(mean, within(1e-6f));
        }
    }

    @Test
    void thePlanNamesEveryFrameThatIsRead() {
        Plan plan = Planner.plan(project(slit(s -> s.withDelayFrames(Value.of(3)))), 20);
        assertThat(plan.pictures().stream().map(Plan.Picture::frame))
                .containsExactlyInAnyOrder(20L, 19L, 18L, 17L);
    }

    @Test
    void aSpanDelaysTheLayersBelowIt() {
        Look late = red(f -> f.delayed(4));
        Layer span = Layer.of("span", "span", late, new Clip(Clip.BELOW, 10, 20, 0));
        Look brighter = Look.atRest("beneath", new Rgb(), new Gain());
        Project project = project(brighter);
        Project spanned = project.withLayers(ListEdits.plus(project.layers(), span));
        assertThat(at(spanned, 20, 0, 3)).isCloseTo(0.16f, within(1e-6f));
        assertThat(at(spanned, 20, 1, 3)).isCloseTo(0.2f, within(1e-6f));
        assertThat(at(spanned, 8, 0, 3)).as("before it").isCloseTo(0.08f, within(1e-6f));
        assertThat(at(spanned, 11, 0, 3))
                .as("before the start the first frame is held")
                .isCloseTo(0.10f, within(1e-6f));
        Plan plan = Planner.plan(spanned, 20);
        assertThat(plan.pictures().stream().map(Plan.Picture::frame)).containsExactly(20L, 16L);
    }

    @Test
    void aSlitScanInASpanReadsTheLayersBelow() {
        Look slit = slit(s -> s.withDelayFrames(Value.of(6)));
        Layer span = Layer.of("span", "span", slit, new Clip(Clip.BELOW, 0, 40, 0));
        Project project = project(BuiltInLooks.named("neutral"));
        Project spanned = project.withLayers(ListEdits.plus(project.layers(), span));
        for (int x = 0; x < W; x++) {
            assertThat(at(spanned, 20, 0, x))
                    .isCloseTo((float) ((20 - 6 * (x + 0.5) / W) / 100), within(1e-6f));
        }
    }

    /**
     * A white flash at frame 10 decays in a channel with a trail: keep^k remains after k frames.
     */
    @ParameterizedTest
    @ValueSource(doubles = {80, 30})
    void aTrailKeepsTheLighterOfDecayAndPresent(double percent) {
        Renderer flash =
                new Renderer(
                        (p, s) -> grey(p.frame() == 10 ? 0.9 : 0.1),
                        Workers.shared(),
                        new FrameCache(1 << 24));
        Look look =
                Look.atRest("trails", new Rgb())
                        .withChannel(
                                1,
                                l ->
                                        l.withChannelSource(
                                                l.channelSource()
                                                        .withTrailPercent(Value.of(percent))));
        for (long frame = 8; frame < 30; frame++) {
            Frame made = flash.render(project(look), frame);
            double left = frame < 10 ? 0 : 0.9 * Math.pow(percent / 100, frame - 10);
            assertThat(made.colour().get(1).at(3, 3))
                    .isCloseTo((float) Math.max(0.1, left), within(1e-4f));
            assertThat(made.colour().get(0).at(3, 3)).isEqualTo(frame == 10 ? 0.9f : 0.1f);
        }
    }
}
