package ivrik.core.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import ivrik.core.Pictured;
import ivrik.core.cache.FrameCache;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.look.LookBlend;
import ivrik.core.measure.Misregistration;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Instant;
import ivrik.core.motion.Jitter;
import ivrik.core.motion.Keyframe;
import ivrik.core.motion.Rational;
import ivrik.core.motion.Value;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Region;
import ivrik.core.picture.Size;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.project.Sequence;
import ivrik.core.project.Source;
import ivrik.core.rejoin.Blend;
import ivrik.core.rejoin.Rejoin;
import ivrik.core.sampling.Resample;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.CancelledException;
import ivrik.core.threads.Workers;

import org.junit.jupiter.api.Test;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;

class RendererTest {
    private static final Size SIZE = new Size(96, 64);
    private final Frame picture =
            Frame.opaque(
                    Pictured.smooth(96, 64, 0),
                    Pictured.smooth(96, 64, 2),
                    Pictured.smooth(96, 64, 4));
    private final Look split = BuiltInLooks.named("rgb-split");

    private static Project project(Look look) {
        Source source =
                new Source("s", "s", "s.png", Source.Kind.STILL, SIZE, Rational.of(24), 1, false);
        return new Project(
                "p",
                new Sequence(SIZE, Rational.of(24)),
                List.of(source),
                List.of(Layer.of("l", "l", look, new Clip("s", 0, 48, 0))),
                List.of(),
                Optional.empty());
    }

    private Renderer renderer() {
        return new Renderer((p, s) -> picture, Workers.shared(), new FrameCache(1 << 28));
    }

    private Frame render(Look look) {
        return renderer().render(project(look), 5);
    }

    @Test
    void anUntouchedLookGivesTheSourceItself() {
        assertThat(render(BuiltInLooks.named("neutral"))).isSameAs(picture);
        assertThat(render(split)).isSameAs(picture);
        assertThat(Misregistration.between(render(split), picture, Workers.shared()))
                .isEqualTo(new Misregistration(0, 0));
    }

    @Test
    void aNudgedRedChannelLeavesGreenAndBlueUntouched() {
        Frame out = render(split.withDial("red-x", 5));
        assertThat(out.colour().get(1)).isSameAs(picture.colour().get(1));
        assertThat(out.colour().get(2)).isSameAs(picture.colour().get(2));
        assertThat(out.colour().get(0).at(40, 9)).isEqualTo(picture.colour().get(0).at(35, 9));
    }

    @Test
    void theProofIsTheLargestAndTheMeanDifference() {
        Plane zero = Plane.of(2, 2);
        Frame source = Frame.opaque(zero, zero, zero);
        Frame moved = Frame.opaque(Plane.of(2, 2, 0, 0.5f, 0, -0.7f), zero, zero);
        Misregistration register = Misregistration.between(moved, source, Workers.shared());
        assertThat(register.largest()).isCloseTo(0.7, within(1e-7));
        assertThat(register.mean()).isCloseTo(1.2 / 12, within(1e-7));
    }

    @Test
    void aFixedChannelDoesNotMove() {
        Look shaken = split.withDial("shake", 9).withChannel(1, s -> s.withFixed(true));
        Frame out = render(shaken);
        assertThat(out.colour().get(1)).isSameAs(picture.colour().get(1));
        assertThat(out.colour().get(0).sameSamples(picture.colour().get(0))).isFalse();
    }

    @Test
    void muteHidesAChannelAndSoloHidesTheOthers() {
        Frame mute = render(split.withChannel(0, s -> s.withMute(true)));
        assertThat(mute.colour().get(0).data()).containsOnly(0f);
        assertThat(mute.colour().get(1)).isSameAs(picture.colour().get(1));
        Frame solo = render(split.withChannel(2, s -> s.withSolo(true)));
        assertThat(solo.colour().get(0).data()).containsOnly(0f);
        assertThat(solo.colour().get(1).data()).containsOnly(0f);
        assertThat(solo.colour().get(2)).isSameAs(picture.colour().get(2));
    }

    @Test
    void theLookBlendMixesWithTheUntreatedPicture() {
        Look moved = split.withDial("red-x", 4);
        Frame half = render(moved.withBlend(new LookBlend(Blend.NORMAL, Value.of(0.25))));
        Frame light = render(moved.withBlend(new LookBlend(Blend.LIGHTEN, Value.of(1))));
        float was = picture.colour().get(0).at(50, 20);
        float is = picture.colour().get(0).at(46, 20);
        assertThat(half.colour().get(0).at(50, 20))
                .isCloseTo(was + 0.25f * (is - was), within(1e-6f));
        assertThat(light.colour().get(0).at(50, 20)).isEqualTo(Math.max(was, is));
        assertThat(render(moved.withBlend(new LookBlend(Blend.ADD, Value.ZERO)))).isSameAs(picture);
    }

    @Test
    void exactAddScreenAndLightenOfMovedRgbChannelsAgree() {
        Look moved = split.withDial("red-x", 4).withDial("blue-y", -2.5);
        Frame exact = render(moved);
        for (Blend blend : List.of(Blend.ADD, Blend.SCREEN, Blend.LIGHTEN)) {
            Frame other = render(moved.withRejoin(Rejoin.by(blend)));
            for (int c = 0; c < 3; c++) {
                assertThat(other.colour().get(c).sameSamples(exact.colour().get(c))).isTrue();
            }
        }
    }

    @Test
    void aTransparentTitleSplitsWithItsCoverage() {
        Plane white = Plane.flat(96, 64, 1);
        Plane cover = Plane.of(96, 64);
        cover.data()[30 * 96 + 40] = 1;
        Frame title = Frame.straight(white, white, white, cover);
        Renderer renderer =
                new Renderer((p, s) -> title, Workers.shared(), new FrameCache(1 << 28));
        Frame out = renderer.render(project(split.withDial("red-x", 3)), 0);
        assertThat(out.colour().get(0).at(43, 30)).isEqualTo(1f);
        assertThat(out.coverage().get(0).at(43, 30)).isEqualTo(1f);
        assertThat(out.coverage().get(1).at(43, 30)).as("each channel has its own").isZero();
        assertThat(out.colour().get(1).at(43, 30)).isZero();
        assertThat(out.unionAlpha(Workers.shared()).at(43, 30)).isEqualTo(1f);
        assertThat(out.colour().get(1).at(40, 30)).isEqualTo(1f);
    }

    @Test
    void aSmallPreviewIsTheSmallVersionOfTheFullRender() {
        Look moved = split.withDial("red-x", 7.3).withDial("red-y", -3.1).withDial("blue-x", -5.5);
        Plan plan = Planner.plan(project(moved), 0);
        Frame half = renderer().render(plan, 0.5, Cancellation.NEVER);
        Frame full =
                Resample.to(
                        renderer().render(plan, 1, Cancellation.NEVER),
                        half.size(),
                        Workers.shared());
        for (int c = 0; c < 3; c++) {
            for (int y = 4; y < 28; y++) {
                for (int x = 6; x < 42; x++) {
                    assertThat(half.colour().get(c).at(x, y))
                            .isCloseTo(full.colour().get(c).at(x, y), within(0.004f));
                }
            }
        }
    }

    @Test
    void aRegionEqualsItsPartOfTheFullFrame() {
        Plan plan = Planner.plan(project(split.withDial("green-x", 2.5)), 0);
        Frame whole = renderer().render(plan, 1, Cancellation.NEVER);
        Frame part = renderer().render(plan, 1, new Region(10, 20, 30, 15), Cancellation.NEVER);
        assertThat(
                        part.colour()
                                .get(1)
                                .sameSamples(
                                        whole.colour().get(1).crop(new Region(10, 20, 30, 15))))
                .isTrue();
    }

    @Test
    void theSameProjectGivesTheSameBytesOnAnyThreadsAndFromAnyCache() {
        Look look = split.withDial("shake", 6).withDial("rate", 9);
        Frame one =
                new Renderer((p, s) -> picture, new Workers(1), new FrameCache(0))
                        .render(project(look), 17);
        for (int threads : new int[] {2, 7}) {
            try (Workers workers = new Workers(threads)) {
                Renderer other = new Renderer((p, s) -> picture, workers, new FrameCache(1 << 28));
                other.render(project(look), 3);
                Frame again = other.render(project(look), 17);
                for (int c = 0; c < 3; c++) {
                    assertThat(again.colour().get(c).sameSamples(one.colour().get(c))).isTrue();
                }
            }
        }
    }

    @Test
    void aLookAppliesToItsLayerOnly() {
        Plane white = Plane.flat(96, 64, 1);
        Plane cover = Plane.flat(96, 64, 0.5f);
        Frame glass = Frame.straight(white, white, white, cover);
        Source two =
                new Source("t", "t", "t.svg", Source.Kind.VECTOR, SIZE, Rational.of(24), 1, false);
        Project base = project(split);
        Project project =
                base.withSource(two)
                        .withLayers(
                                List.of(
                                        base.layers().getFirst(),
                                        Layer.of(
                                                "m",
                                                "m",
                                                split.withDial("red-x", 4),
                                                new Clip("t", 0, 10, 0))));
        Renderer renderer =
                new Renderer(
                        (p, s) -> p.source().id().equals("t") ? glass : picture,
                        Workers.shared(),
                        new FrameCache(1 << 28));
        Frame out = renderer.render(project, 0);
        assertThat(out.isOpaque()).isTrue();
        assertThat(out.colour().get(2).at(9, 9))
                .isCloseTo(0.5f + 0.5f * picture.colour().get(2).at(9, 9), within(1e-6f));
        assertThat(renderer.render(project, 10)).isSameAs(picture);
    }

    @Test
    void aSourceOfAnotherShapeIsFittedAndCentred() {
        Plane white = Plane.flat(10, 20, 1);
        Source tall =
                new Source(
                        "s",
                        "s",
                        "s.png",
                        Source.Kind.STILL,
                        new Size(10, 20),
                        Rational.of(24),
                        1,
                        false);
        Renderer renderer =
                new Renderer(
                        (p, s) -> Frame.opaque(white, white, white),
                        Workers.shared(),
                        new FrameCache(1 << 28));
        Frame out = renderer.render(project(split).withSource(tall), 0);
        assertThat(out.size()).isEqualTo(SIZE);
        assertThat(out.coverage().get(0).at(31, 10)).isZero();
        assertThat(out.colour().get(0).at(32, 10)).isCloseTo(1f, within(1e-6f));
        assertThat(out.colour().get(0).at(63, 10)).isCloseTo(1f, within(1e-6f));
        assertThat(out.coverage().get(0).at(64, 10)).isZero();
    }

    @Test
    void movingAValueKeepsTheSourceAndOtherFramesPlansEqual() {
        Pictures pictures = mock(Pictures.class);
        when(pictures.frame(any(), any())).thenReturn(picture);
        Renderer renderer = new Renderer(pictures, Workers.shared(), new FrameCache(1 << 28));
        for (int i = 1; i < 5; i++) {
            renderer.render(project(split.withDial("red-x", i)), 0);
        }
        verify(pictures, times(1)).frame(any(), any());
        Value late =
                new Value(
                        0,
                        List.of(
                                new Keyframe(10, 0, Ease.LINEAR),
                                new Keyframe(20, 8, Ease.LINEAR)));
        Look moved = split.withSettings(0, 0, a -> a.with("x", late));
        assertThat(Planner.plan(project(moved), 10)).isEqualTo(Planner.plan(project(split), 10));
        assertThat(Planner.plan(project(moved), 11)).isNotEqualTo(Planner.plan(project(split), 11));
    }

    @Test
    void unwantedRendersAreCancelled() {
        AtomicInteger asked = new AtomicInteger();
        Plan plan = Planner.plan(project(split.withDial("red-x", 1).withDial("blue-x", 1)), 0);
        assertThatThrownBy(() -> renderer().render(plan, 1, () -> asked.incrementAndGet() > 2))
                .isInstanceOf(CancelledException.class);
    }

    @Test
    void jitterFollowsItsKeyframedAmount() {
        Value burst =
                new Value(
                        0,
                        List.of(
                                new Keyframe(10, 0, Ease.LINEAR),
                                new Keyframe(22, 12, Ease.LINEAR),
                                new Keyframe(34, 0, Ease.LINEAR)));
        Look shaking =
                split.withSettings(
                        0, 0, a -> a.withJitter(new Jitter(burst, 9, Jitter.Kind.SMOOTH, 4)));
        assertThat(Planner.plan(project(shaking), 10)).isEqualTo(Planner.plan(project(split), 10));
        assertThat(Planner.plan(project(shaking), 34)).isEqualTo(Planner.plan(project(split), 34));
        var there =
                new LookPlanner(shaking, Instant.of(22, Rational.of(24)), "")
                        .settings(shaking.steps().getFirst(), 0);
        assertThat(Math.abs(there.number("x"))).isBetween(0.01, 12.0);
        assertThat(there.number("x")).isNotEqualTo(there.number("y"));
    }

    @Test
    void screenPixelsAreRoundedCodes() {
        Plane p = Plane.of(3, 1, -1, 0.5f, 2);
        assertThat(Screen.of(Frame.opaque(p, p, p), Workers.shared()).pixels())
                .containsExactly(0xff000000, 0xff808080, 0xffffffff);
    }

    @Test
    void screenPixelsEqualThoseOfPlanes() {
        for (Look look :
                List.of(
                        split,
                        split.withDial("red-x", 3.4).withDial("blue-y", -2),
                        split.withDial("red-x", 3.4).withChannel(1, s -> s.withMute(true)),
                        split.withDial("red-x", 3.4)
                                .withBlend(new LookBlend(Blend.SCREEN, Value.of(0.4))))) {
            for (double scale : new double[] {1, 0.5}) {
                Plan plan = Planner.plan(project(look), 0);
                Screen direct = renderer().screen(plan, scale, Cancellation.NEVER);
                Screen planes =
                        Screen.of(
                                renderer().render(plan, scale, Cancellation.NEVER),
                                Workers.shared());
                assertThat(direct.size()).isEqualTo(SIZE.scaled(scale));
                assertThat(direct.pixels()).isEqualTo(planes.pixels());
            }
        }
    }
}
