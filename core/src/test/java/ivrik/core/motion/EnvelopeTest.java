package ivrik.core.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.IntRange;

import org.junit.jupiter.api.Test;

import java.util.List;
import java.util.Optional;
import java.util.stream.LongStream;

class EnvelopeTest {
    private static final AnchorTime FRAME = new AnchorTime(40, false);
    private static final AnchorTime CUT = new AnchorTime(40, true);

    private static List<Double> shares(
            Envelope envelope, AnchorTime anchorTime, long first, long last) {
        return LongStream.rangeClosed(first, last)
                .mapToObj(f -> envelope.at(anchorTime, Rational.of(f)))
                .toList();
    }

    @Provide
    Arbitrary<PeakEnvelope> peakEnvelopes() {
        Arbitrary<Phase> phase =
                Combinators.combine(
                                Arbitraries.integers().between(0, 5),
                                Arbitraries.doubles().between(-2, 2))
                        .as(Phase::new);
        return Combinators.combine(
                        phase.list().ofMaxSize(5),
                        Arbitraries.integers().between(1, 4),
                        Arbitraries.of(true, false))
                .as((in, peak, ramps) -> new PeakEnvelope(in, peak, Optional.empty(), ramps));
    }

    @Property
    void retimingKeepsSymmetryAndWholeFrames(
            @ForAll("peakEnvelopes") PeakEnvelope peakEnvelope,
            @ForAll @IntRange(min = 0, max = 30) int frames) {
        PeakEnvelope timed = peakEnvelope.timed(frames, frames, peakEnvelope.phases());
        assertThat(timed.before()).isEqualTo(peakEnvelope.in().isEmpty() ? 0 : frames);
        assertThat(timed.in()).hasSameSizeAs(peakEnvelope.in());
        for (int d = 0; d < 40; d++) {
            Rational later = Rational.of(40 + d);
            assertThat(timed.at(FRAME, Rational.of(40 - d))).isEqualTo(timed.at(FRAME, later));
            assertThat(timed.at(CUT, Rational.of(39 - d))).isEqualTo(timed.at(CUT, later));
        }
    }

    @Property
    void anEnvelopeIsZeroOutsideItsFrames(@ForAll("peakEnvelopes") PeakEnvelope peakEnvelope) {
        long extent = (long) peakEnvelope.before() + peakEnvelope.peak();
        Rational justAfter = new Rational((40 + extent) * 8 + 1, 8);
        Rational justBefore = new Rational((40 - extent) * 8 + 7, 8);
        assertThat(peakEnvelope.at(FRAME, Rational.of(40 - extent))).isZero();
        assertThat(peakEnvelope.at(FRAME, Rational.of(40 + extent))).isZero();
        assertThat(peakEnvelope.at(FRAME, justAfter)).isZero();
        assertThat(peakEnvelope.at(FRAME, justBefore)).isZero();
        assertThat(peakEnvelope.at(FRAME, Rational.of(40))).isOne();
    }

    @Test
    void evenPhasesRiseInEqualSteps() {
        assertThat(shares(PeakEnvelope.even(6, 2), FRAME, 33, 47))
                .usingComparatorForType((a, b) -> Math.abs(a - b) < 1e-12 ? 0 : 1, Double.class)
                .containsExactly(
                        0., 1 / 3., 1 / 3., 1 / 3., 2 / 3., 2 / 3., 2 / 3., 1., 2 / 3., 2 / 3.,
                        2 / 3., 1 / 3., 1 / 3., 1 / 3., 0.);
    }

    @Test
    void aPeakAtACutHasAFrameOnEachSide() {
        assertThat(shares(PeakEnvelope.even(1, 1), CUT, 37, 42))
                .containsExactly(0., 0.5, 1., 1., 0.5, 0.);
    }

    @Test
    void rampsReachTheirStrengthNextToThePeak() {
        PeakEnvelope peakEnvelope =
                new PeakEnvelope(List.of(new Phase(2, 0.5)), 1, Optional.empty(), true);
        assertThat(shares(peakEnvelope, FRAME, 37, 43))
                .containsExactly(0., 0.25, 0.5, 1., 0.5, 0.25, 0.);
        assertThat(peakEnvelope.at(FRAME, new Rational(79, 2))).isEqualTo(0.75);
        assertThat(peakEnvelope.at(FRAME, new Rational(83, 2))).isEqualTo(0.375);
    }

    @Test
    void phasesOfZeroFramesAreOmitted() {
        PeakEnvelope peakEnvelope =
                new PeakEnvelope(
                        List.of(new Phase(2, 0.25), new Phase(0, 0.9)), 1, Optional.empty(), false);
        assertThat(shares(peakEnvelope, FRAME, 37, 41)).containsExactly(0., 0.25, 0.25, 1., 0.25);
        assertThat(peakEnvelope.timed(4, 4, 2).in().getLast().frames()).isZero();
        PeakEnvelope none = peakEnvelope.timed(0, 0, 2);
        assertThat(shares(none, FRAME, 39, 41)).containsExactly(0., 1., 0.);
        assertThat(none.timed(4, 4, 2).in()).extracting(Phase::frames).containsExactly(2, 2);
    }

    @Test
    void phasesAfterThePeakHaveTheirOwnTimes() {
        PeakEnvelope timed = PeakEnvelope.even(6, 3).timed(3, 9, 3);
        assertThat(timed.in()).extracting(Phase::frames).containsExactly(1, 1, 1);
        assertThat(timed.down()).extracting(Phase::frames).containsExactly(3, 3, 3);
        assertThat(timed.down()).extracting(Phase::strength).containsExactly(0.75, 0.5, 0.25);
    }

    @Test
    void aNewNumberOfPhasesIsEvenlySpaced() {
        PeakEnvelope timed = PeakEnvelope.even(6, 3).timed(10, 10, 4);
        assertThat(timed.in()).extracting(Phase::frames).containsExactly(3, 2, 3, 2);
        assertThat(timed.in()).extracting(Phase::strength).containsExactly(0.2, 0.4, 0.6, 0.8);
    }

    @Test
    void aTransitionStaysAtOneAndItsSpeedPeaksAtOne() {
        TransitionEnvelope direction = new TransitionEnvelope(4, 4, Ease.SMOOTH, false);
        assertThat(shares(direction, FRAME, 35, 36)).containsExactly(0., 0.);
        assertThat(direction.at(FRAME, Rational.of(40))).isCloseTo(0.5, within(1e-12));
        // 3 t^2 - 2 t^3 at a quarter of the time
        assertThat(direction.at(FRAME, Rational.of(38))).isCloseTo(0.15625, within(1e-12));
        assertThat(shares(direction, FRAME, 44, 45)).containsExactly(1., 1.);
        TransitionEnvelope speed = new TransitionEnvelope(4, 4, Ease.SMOOTH, true);
        assertThat(speed.at(FRAME, Rational.of(40))).isCloseTo(1, within(1e-9));
        assertThat(speed.at(FRAME, Rational.of(38))).isCloseTo(0.75, within(1e-9));
        assertThat(speed.at(FRAME, Rational.of(36))).isZero();
        assertThat(speed.at(FRAME, Rational.of(44))).isZero();
    }
}
