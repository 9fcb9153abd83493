package ivrik.core.look;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.json.LookJson;
import ivrik.core.look.Burst.Direction;
import ivrik.core.look.Burst.Drive;
import ivrik.core.look.BurstPhases.Row;
import ivrik.core.look.Target.OfChannel;
import ivrik.core.motion.Anchor;
import ivrik.core.motion.Instant;
import ivrik.core.motion.PeakEnvelope;
import ivrik.core.motion.Rational;
import ivrik.core.motion.TimelineContext;
import ivrik.core.separation.Separations;

import org.junit.jupiter.api.Test;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The phases of a burst as numbers, and what it then adds at each frame. */
class BurstPhasesTest {
    private static final Anchor CUT = new Anchor.AtCut("clip-2");
    private static final Look SPLIT = BuiltInLooks.named("rgb-split");
    private static final Target RED = new OfChannel(SPLIT.steps().getFirst().id(), 0, "x");
    private static final Target BLUE = new OfChannel(SPLIT.steps().getFirst().id(), 2, "x");

    private static Burst burst() {
        return BurstEdits.of(SPLIT, CUT, Optional.of(SPLIT.steps().getFirst()))
                .withEnvelope(PeakEnvelope.even(4, 2));
    }

    private static Drive drive(Burst burst, Target target) {
        return burst.drives().stream().filter(d -> d.target().equals(target)).findFirst().get();
    }

    private static Burst typed(Burst burst, Row row, Target target, double amount) {
        return BurstPhases.withAmount(burst, row, drive(burst, target), amount);
    }

    /** What a burst at a cut at frame 96 adds at a frame. */
    private static double added(Burst burst, Target target, long frame) {
        TimelineContext cuts = new TimelineContext(0, 0, Map.of("clip-2", 96L), Map.of());
        Instant instant = new Instant(Rational.of(frame), Rational.of(24), cuts, 0);
        return DrivenValues.at(SPLIT.withBurst(burst), instant, "").to(target);
    }

    /** Three phases on each side: 5, 3 and 2 frames, uneven amounts in red and blue. */
    private static Burst uneven() {
        Burst burst = burst();
        Row first = new Row(false, 0);
        Row second = new Row(false, 1);
        PeakEnvelope envelope = (PeakEnvelope) burst.envelope();
        envelope = BurstPhases.withFrames(envelope, first, 5);
        envelope = BurstPhases.withFrames(envelope, second, 3);
        burst = burst.withEnvelope(BurstPhases.withFrames(envelope, Row.PEAK, 2));
        burst = typed(burst, first, RED, 50);
        burst = typed(burst, first, BLUE, -50);
        burst = typed(burst, second, RED, 110);
        burst = typed(burst, second, BLUE, -110);
        burst = typed(burst, Row.PEAK, RED, 190);
        return typed(burst, Row.PEAK, BLUE, -200);
    }

    @Test
    void typedAmountsAreAddedAtTheirFrames() {
        Burst burst = uneven();
        double[] red = {0, 50, 50, 50, 50, 50, 110, 110, 110, 190, 190, 190, 190, 110, 110, 110};
        double[] blue = {0, -50, -50, -50, -50, -50, -110, -110, -110, -200, -200, -200, -200};
        for (int i = 0; i < red.length; i++) {
            assertThat(added(burst, RED, 85 + i)).as("red " + i).isEqualTo(red[i], within(1e-9));
        }
        for (int i = 0; i < blue.length; i++) {
            assertThat(added(burst, BLUE, 85 + i)).as("blue " + i).isEqualTo(blue[i], within(1e-9));
        }
        assertThat(burst.framesBefore()).isEqualTo(10);
        assertThat(burst.framesAfter()).isEqualTo(10);
    }

    @Test
    void anotherStrengthOfOnePhaseKeepsTheProportionOfItsChannels() {
        Burst burst = uneven();
        Row first = new Row(false, 0);
        PeakEnvelope envelope = (PeakEnvelope) burst.envelope();
        double strength = BurstPhases.strength(envelope, first);
        Burst mild = burst.withEnvelope(BurstPhases.withStrength(envelope, first, strength / 2));
        assertThat(added(mild, RED, 87)).isEqualTo(25, within(1e-9));
        assertThat(added(mild, BLUE, 87)).isEqualTo(-25, within(1e-9));
        assertThat(added(mild, RED, 92)).isEqualTo(110, within(1e-9));
    }

    @Test
    void equalSharesAreKeptAsOneStrength() {
        Burst burst = typed(burst(), new Row(false, 0), RED, 3);
        assertThat(((PeakEnvelope) burst.envelope()).differing()).isNotEmpty();
        Burst even = typed(burst, new Row(false, 0), BLUE, -3);
        assertThat(((PeakEnvelope) even.envelope()).differing()).isEmpty();
    }

    @Test
    void theFrameCountsAreTheChangedFrames() {
        for (Anchor anchor : List.of(CUT, new Anchor.AtFrame(96))) {
            Burst burst = BurstEdits.stretched(burst().withAnchor(anchor), false, 5);
            assertThat(burst.framesBefore()).isEqualTo(5);
            long first = 96 - 5;
            long last = anchor == CUT ? 96 + 4 : 96 + 5;
            assertThat(added(burst, RED, first - 1)).isZero();
            assertThat(added(burst, RED, first)).isNotZero();
            assertThat(added(burst, RED, last)).isNotZero();
            assertThat(added(burst, RED, last + 1)).isZero();
        }
    }

    @Test
    void unevenPhasesSurviveAFileAndAnotherSeparation() {
        Look look = SPLIT.withBurst(uneven());
        assertThat(LookJson.read(LookJson.write(look)).look()).isEqualTo(look);
        Look lab = ModelChange.of(look, Separations.named("lab")).look();
        Look back = ModelChange.of(lab, Separations.named("rgb")).look();
        assertThat(back.bursts()).isEqualTo(look.bursts());
    }

    @Test
    void theTitleSaysWhatIsDrivenAndInWhichDirection() {
        Burst burst = burst();
        Look look = SPLIT.withBurst(burst);
        assertThat(BurstTitle.of(look, burst)).isEqualTo("Shift x");
        assertThat(BurstTitle.of(look, turned(burst, 90))).isEqualTo("Shift y");
        assertThat(BurstTitle.of(look, turned(burst, 30))).isEqualTo("Shift x and y");
        assertThat(BurstTitle.of(look, burst.withName("Hit"))).isEqualTo("Hit");
        assertThat(BurstTitle.of(look, burst.withDrives(List.of()))).isEqualTo("Burst");
        Burst second = burst.withId("burst-9");
        assertThat(BurstTitle.of(look.withBurst(second), second)).isEqualTo("Shift x 2");
    }

    private static Burst turned(Burst burst, double degrees) {
        return burst.withAngleDegrees(ivrik.core.motion.Value.of(degrees));
    }

    @Test
    void aFixedChannelHasNoColumn() {
        Burst burst = burst();
        assertThat(BurstPhases.ofChannels(SPLIT, burst))
                .extracting(Drive::target)
                .containsExactly(RED, BLUE);
        Burst all = BurstEdits.withDirection(burst, 1, Direction.RANDOM);
        assertThat(BurstPhases.ofChannels(SPLIT, all)).hasSize(3);
    }
}
