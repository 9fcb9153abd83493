package ivrik.core.motion;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

import java.util.List;
import java.util.Map;
import java.util.stream.LongStream;

class OccurrenceTest {
    private static final Rational RATE = Rational.of(24);
    private static final TimelineContext AROUND =
            new TimelineContext(0, 500, Map.of("second", 96L), Map.of("a", 10L, "b", 30L));

    private static Occurrence at(Anchor anchor, Envelope envelope, Repeat repeat, long frame) {
        Instant instant = new Instant(Rational.of(frame), RATE, AROUND, 0);
        return Occurrence.at(anchor, envelope, repeat, instant);
    }

    /** The frames below 200 with movement. */
    private static List<Long> moving(Anchor anchor, Envelope envelope, Repeat repeat) {
        return LongStream.range(0, 200)
                .filter(f -> at(anchor, envelope, repeat, f).share() != 0)
                .boxed()
                .toList();
    }

    private static final PeakEnvelope ONE = PeakEnvelope.even(0, 0);

    @Test
    void anOccurrenceFollowsItsAnchor() {
        assertThat(moving(new Anchor.AtFrame(7), ONE, Repeat.ONCE)).containsExactly(7L);
        assertThat(moving(new Anchor.AtCut("second"), ONE, Repeat.ONCE)).containsExactly(95L, 96L);
        assertThat(moving(new Anchor.AtMarkers(List.of("b", "a")), ONE, Repeat.ONCE))
                .containsExactly(10L, 30L);
        assertThat(moving(new Anchor.AtCut("gone"), ONE, Repeat.ONCE)).isEmpty();
        assertThat(moving(new Anchor.AtMarkers(List.of("gone")), ONE, Repeat.ONCE)).isEmpty();
    }

    @Test
    void repeatsStartAtTheFirstOccurrence() {
        assertThat(moving(new Anchor.AtFrame(100), ONE, new Repeat(40, false, 5)))
                .containsExactly(105L, 145L, 185L);
    }

    @Test
    void beatsFallOnTheNearestFrame() {
        // 70 per minute at 24 fps: every 20.571 frames
        assertThat(moving(new Anchor.AtFrame(0), ONE, new Repeat(70, true, 0)))
                .containsExactly(0L, 21L, 41L, 62L, 82L, 103L, 123L, 144L, 165L, 185L);
    }

    @Test
    void overlappingOccurrencesTakeTheStronger() {
        PeakEnvelope wide = PeakEnvelope.even(9, 3);
        Repeat often = new Repeat(10, false, 0);
        Anchor here = new Anchor.AtFrame(50);
        assertThat(at(here, wide, often, 52).share()).isEqualTo(0.75);
        assertThat(at(here, wide, often, 58).share()).isEqualTo(0.75);
        assertThat(at(here, wide, often, 55).share()).isEqualTo(0.5);
        assertThat(at(here, wide, often, 58).number())
                .isNotEqualTo(at(here, wide, often, 52).number());
    }

    @Test
    void transitionsAddUp() {
        TransitionEnvelope direction = new TransitionEnvelope(2, 2, Ease.LINEAR, false);
        Repeat often = new Repeat(10, false, 0);
        Anchor here = new Anchor.AtFrame(20);
        assertThat(at(here, direction, often, 17).share()).isZero();
        assertThat(at(here, direction, often, 25).share()).isOne();
        assertThat(at(here, direction, often, 30).share()).isEqualTo(1.5);
        assertThat(at(here, direction, often, 30_000_025).share()).isEqualTo(3_000_001);
    }
}
