package ivrik.core.render;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.json.ProjectJson;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Burst;
import ivrik.core.look.Burst.Drive;
import ivrik.core.look.Look;
import ivrik.core.look.Target.OfChannel;
import ivrik.core.measure.Misregistration;
import ivrik.core.motion.Anchor;
import ivrik.core.motion.Value;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.project.Clip;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.project.ProjectEdits;
import ivrik.core.project.Source;
import ivrik.core.rejoin.Blend;
import ivrik.core.threads.Cancellation;

import org.junit.jupiter.api.Test;

import java.util.List;
import java.util.stream.IntStream;

/** A span over two layers; the lower layer has two shots. */
class SpanTest {
    private static final int WIDTH = 40;
    private static final int HEIGHT = 12;
    private static final Look PLAIN = BuiltInLooks.named("neutral");
    private static final Look SPLIT =
            BuiltInLooks.named("rgb-split").withDial("red-x", 3).withDial("blue-y", -2);

    private static Frame picture(long frame) {
        List<Plane> planes =
                IntStream.range(0, 3)
                        .mapToObj(
                                channel -> {
                                    Plane plane = Plane.of(WIDTH, HEIGHT);
                                    for (int i = 0; i < plane.data().length; i++) {
                                        plane.data()[i] =
                                                (i * 31 + channel * 67 + frame * 13) % 199 / 198f;
                                    }
                                    return plane;
                                })
                        .toList();
        return Frame.opaque(planes.get(0), planes.get(1), planes.get(2));
    }

    private final Scene scene = new Scene(SpanTest::picture);

    private Project below() {
        Project one = scene.project(PLAIN);
        Layer shots =
                one.layers()
                        .getFirst()
                        .withClips(List.of(new Clip("a", 0, 20, 0), new Clip("b", 20, 20, 5)));
        Layer half =
                Layer.of("half", "half", SPLIT, new Clip("b", 0, 40, 9)).withOpacity(Value.of(0.5));
        return one.withLayers(List.of(shots, half));
    }

    private Project spanned(Look look) {
        Project project = ProjectEdits.spanned(below(), new FrameRange(10, 29));
        return project.withLayer("span", l -> l.withLook(0, old -> look));
    }

    private static void assertSame(Frame a, Frame b) {
        for (int channel = 0; channel < 3; channel++) {
            assertThat(a.colour().get(channel).data()).isEqualTo(b.colour().get(channel).data());
        }
    }

    /** A look applied to a frame imported as footage. */
    private Frame done(Look look, Frame frame) {
        Scene flat = new Scene(frame);
        return flat.render(flat.project(look), 0);
    }

    @Test
    void aSpanAppliesToAllLayersBelowWithinItsFrames() {
        Project project = spanned(SPLIT);
        for (long frame : new long[] {10, 19, 20, 29}) {
            Frame below = scene.render(below(), frame);
            assertSame(scene.render(project, frame), done(SPLIT, below));
        }
        for (long frame : new long[] {9, 30}) {
            assertSame(scene.render(project, frame), scene.render(below(), frame));
        }
    }

    @Test
    void spansStackAndBlendByTheirAmount() {
        Project twice =
                ProjectEdits.spanned(spanned(SPLIT), new FrameRange(0, 39))
                        .withLayer("span 2", l -> l.withLook(0, old -> SPLIT));
        Frame once = scene.render(spanned(SPLIT), 15);
        assertSame(scene.render(twice, 15), done(SPLIT, once));
        Project half = spanned(SPLIT).withLayer("span", l -> l.withOpacity(Value.of(0.5)));
        Frame below = scene.render(below(), 15);
        float[] mixed = scene.render(half, 15).colour().get(0).data();
        for (int i = 0; i < mixed.length; i++) {
            float middle = (below.colour().get(0).data()[i] + once.colour().get(0).data()[i]) / 2;
            assertThat(mixed[i]).isCloseTo(middle, org.assertj.core.api.Assertions.within(1e-6f));
        }
        Project lightened = spanned(SPLIT).withLayer("span", l -> l.withBlend(Blend.LIGHTEN));
        float[] lighter = scene.render(lightened, 15).colour().get(2).data();
        for (int i = 0; i < lighter.length; i++) {
            assertThat(lighter[i])
                    .isEqualTo(
                            Math.max(
                                    below.colour().get(2).data()[i],
                                    once.colour().get(2).data()[i]));
        }
    }

    @Test
    void anUntouchedSpanIsExact() {
        Project project = spanned(PLAIN);
        assertSame(scene.render(project, 15), scene.render(below(), 15));
        Plan plan = Planner.plan(project, 15);
        Misregistration register =
                scene.renderer().proof(plan, plan.layers().getLast(), 0, 1, Cancellation.NEVER);
        assertThat(register.isExact()).isTrue();
    }

    @Test
    void burstsOfASpanUseTheCutsBelow() {
        Look look =
                PLAIN.withBurst(
                        Burst.of("b", new Anchor.AtCut("l/clip-2"), 3)
                                .withDrives(
                                        List.of(new Drive(new OfChannel("shift-1", 0, "x"), 4))));
        Project project = spanned(look);
        assertThat(ProjectJson.read(ProjectJson.write(project)).problems()).isEmpty();
        Frame below = scene.render(below(), 20);
        Look moved = PLAIN.withSettings(0, 0, a -> a.with("x", Value.of(4)));
        assertSame(scene.render(project, 20), done(moved, below));
        assertSame(scene.render(project, 12), scene.render(below(), 12));
    }

    @Test
    void cachedFramesOfASpanAreNotConfused() {
        Source title =
                new Source(
                        "still",
                        "still",
                        "still.png",
                        Source.Kind.STILL,
                        scene.sequence().size(),
                        Scene.RATE,
                        1,
                        false);
        Project spanned = spanned(SPLIT);
        Layer half = spanned.layers().get(1).withClips(List.of(new Clip("still", 0, 40, 0)));
        Project project =
                spanned.withSource(title)
                        .withLayers(
                                List.of(
                                        spanned.layers().getFirst(),
                                        half,
                                        spanned.layers().getLast()));
        Renderer keeping = scene.renderer();
        for (int round = 0; round < 3; round++) {
            for (long frame = 10; frame < 16; frame++) {
                Plan plan = Planner.plan(project, frame);
                assertSame(
                        keeping.render(plan, 1, Cancellation.NEVER), scene.render(project, frame));
                keeping.proof(plan, plan.layers().getLast(), 0, 1, Cancellation.NEVER);
                List<Plane> kept =
                        keeping.channels(plan, plan.layers().getLast(), 0, 1, Cancellation.NEVER);
                List<Plane> fresh =
                        scene.renderer()
                                .channels(plan, plan.layers().getLast(), 0, 1, Cancellation.NEVER);
                assertThat(kept.get(0).data()).isEqualTo(fresh.get(0).data());
            }
        }
    }

    @Test
    void aSpanOverNothingShowsNothing() {
        Project empty = spanned(SPLIT);
        Project alone = empty.withLayers(List.of(empty.layers().getLast()));
        Frame frame = scene.render(alone, 15);
        assertThat(frame.isOpaque()).isFalse();
        assertThat(frame.coverage().getFirst().data()).containsOnly(0f);
    }
}
