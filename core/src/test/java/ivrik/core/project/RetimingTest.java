package ivrik.core.project;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Burst;
import ivrik.core.look.Look;
import ivrik.core.motion.Anchor;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Keyframe;
import ivrik.core.motion.PeakEnvelope;
import ivrik.core.motion.Rational;
import ivrik.core.motion.Repeat;
import ivrik.core.motion.Value;
import ivrik.core.picture.Size;

import org.junit.jupiter.api.Test;

import java.util.List;
import java.util.Optional;

/** A sequence with content gets another rate or length. */
class RetimingTest {
    private static final Value MOVING =
            new Value(
                    1,
                    List.of(
                            new Keyframe(12, 0, Ease.LINEAR),
                            new Keyframe(24, 8, Ease.HOLD),
                            new Keyframe(25, 9, Ease.LINEAR)));

    private static Project project(Look look) {
        Source movie =
                new Source(
                        "a",
                        "a",
                        "a.mkv",
                        Source.Kind.MOVIE,
                        new Size(64, 36),
                        Rational.of(24),
                        96,
                        false);
        Layer layer =
                Layer.of(
                        "l",
                        "l",
                        look,
                        new Clip("one", "a", 0, 36, 5),
                        new Clip("two", "a", 36, 24, 0));
        return new Project(
                "p",
                new Sequence(new Size(64, 36), Rational.of(24)),
                List.of(movie),
                List.of(layer),
                List.of(new Marker(10, "here")),
                Optional.of(new FrameRange(12, 47)));
    }

    private static Look look() {
        Look look =
                BuiltInLooks.named("channel-delay")
                        .withDial("red", 6)
                        .withBlend(
                                new ivrik.core.look.LookBlend(
                                        ivrik.core.rejoin.Blend.NORMAL, MOVING));
        Burst burst =
                Burst.of("b", new Anchor.AtCut("two"), 3)
                        .withEnvelope(PeakEnvelope.even(6, 3))
                        .withRepeat(new Repeat(18, false, -2));
        return look.withBursts(
                List.of(
                        burst,
                        Burst.of("at", new Anchor.AtFrame(20), 3)
                                .withRepeat(new Repeat(120, true, 0))));
    }

    @Test
    void anotherRateKeepsTheSeconds() {
        Project twice = Retiming.at(project(look()), Rational.of(48));
        Layer layer = twice.layers().getFirst();
        assertThat(twice.sequence().rate()).isEqualTo(Rational.of(48));
        assertThat(layer.clips())
                .containsExactly(new Clip("one", "a", 0, 72, 5), new Clip("two", "a", 72, 48, 0));
        assertThat(twice.markers().getFirst().frame()).isEqualTo(20);
        assertThat(twice.playRange()).contains(new FrameRange(24, 95));
        Look look = layer.look();
        assertThat(look.blend().opacity().keyframes())
                .extracting(Keyframe::frame)
                .containsExactly(24L, 48L, 50L);
        Burst burst = look.bursts().getFirst();
        assertThat(burst.anchor()).isEqualTo(new Anchor.AtCut("two"));
        assertThat(burst.envelope().before()).isEqualTo(12);
        assertThat(burst.repeat()).isEqualTo(new Repeat(36, false, -4));
        assertThat(look.bursts().get(1).anchor()).isEqualTo(new Anchor.AtFrame(40));
        assertThat(look.bursts().get(1).repeat().every()).isEqualTo(120);
        assertThat(look.dial("red").value().rest()).isEqualTo(12);
        Source movie = twice.sources().getFirst();
        for (long n = 0; n < 120; n++) {
            Clip before = project(look()).layers().getFirst().clipAt(n / 2).orElseThrow();
            Clip now = layer.clipAt(n).orElseThrow();
            assertThat(now.sourceFrame(n, movie, Rational.of(48)))
                    .isEqualTo(before.sourceFrame(n / 2, movie, Rational.of(24)));
        }
    }

    @Test
    void wholeFramesRoundTripThroughAnotherRate() {
        Project project = project(look());
        assertThat(Retiming.at(Retiming.at(project, Rational.of(48)), Rational.of(24)))
                .isEqualTo(project);
    }

    @Test
    void shotsStayAdjacentAtAnyRate() {
        Project odd = Retiming.at(project(look()), new Rational(30000, 1001));
        List<Clip> clips = odd.layers().getFirst().clips();
        assertThat(clips.get(0).end()).isEqualTo(clips.get(1).start()).isEqualTo(45);
        assertThat(odd.frames() / (30000 / 1001.0)).isCloseTo(60 / 24.0, within(0.02));
        assertThat(odd.layers().getFirst().cuts()).containsKey("two");
    }

    @Test
    void twoKeyframesOnOneFrameKeepTheLater() {
        Project half = Retiming.at(project(look()), Rational.of(12));
        assertThat(half.layers().getFirst().look().blend().opacity().keyframes())
                .extracting(Keyframe::frame, Keyframe::value)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple(6L, 0.0),
                        org.assertj.core.groups.Tuple.tuple(12L, 8.0),
                        org.assertj.core.groups.Tuple.tuple(13L, 9.0));
        assertThat(ivrik.core.look.RetimedLook.value(MOVING, 0.25).keyframes())
                .extracting(Keyframe::value)
                .containsExactly(0.0, 9.0);
    }

    @Test
    void aShorterLengthTrimsAndALongerOneExtends() {
        Project project = project(look());
        Project shorter = Retiming.lasting(project, 40);
        assertThat(shorter.frames()).isEqualTo(40);
        assertThat(shorter.layers().getFirst().clips().getLast().length()).isEqualTo(4);
        assertThat(shorter.playRange()).contains(new FrameRange(12, 39));
        Project one = Retiming.lasting(project, 30);
        assertThat(one.layers().getFirst().clips()).hasSize(1);
        Project longer = Retiming.lasting(project, 100);
        assertThat(longer.frames()).isEqualTo(100);
        assertThat(longer.layers().getFirst().clips().getFirst().length()).isEqualTo(36);
    }
}
