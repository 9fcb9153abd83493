package ivrik.core.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class JitterTest {
    private static final Rational RATE = Rational.of(24);

    private static double at(Jitter jitter, long frame, int channel, String what) {
        return jitter.at(
                Instant.of(frame, RATE),
                jitter.amount().at(frame),
                jitter.frequencyHz(),
                new RandomKey(jitter.seed(), RandomKey.ANYWHERE),
                channel,
                what);
    }

    @ParameterizedTest
    @EnumSource
    void itStaysWithinItsAmountAndUsesIt(Jitter.Kind kind) {
        Jitter jitter = new Jitter(Value.of(6), 12, kind, 4);
        double most = 0;
        double sum = 0;
        for (int f = 0; f < 2000; f++) {
            double v = at(jitter, f, 0, "x");
            most = Math.max(most, Math.abs(v));
            sum += v;
        }
        assertThat(most).isBetween(5.5, 6.0);
        assertThat(sum / 2000).isCloseTo(0, within(0.5));
    }

    /** The mean square change from frame to frame, for equal amplitudes. */
    private static double roughness(Jitter jitter) {
        double sum = 0;
        for (int f = 0; f < 4000; f++) {
            double step = at(jitter, f + 1, 0, "x") - at(jitter, f, 0, "x");
            sum += step * step;
        }
        return sum / 4000;
    }

    @Test
    void octavesAddFinerMovementWithinTheAmplitude() {
        Jitter one = new Jitter(Value.of(6), 0.5, Jitter.Kind.SMOOTH, 4);
        Jitter four = one.withOctaves(4);
        // each octave changes as fast as the first; the sum is scaled to the amplitude of one
        // octave
        double amplitude = 1 + 0.5 + 0.25 + 0.125;
        assertThat(roughness(four) / roughness(one))
                .isCloseTo(4 / (amplitude * amplitude), within(0.2));
        assertThat(at(four, 1000, 0, "x")).isNotEqualTo(at(one, 1000, 0, "x"));
        for (int f = 0; f < 4000; f++) {
            assertThat(Math.abs(at(four, f, 0, "x"))).isLessThanOrEqualTo(6);
        }
    }

    @Test
    void steppedJitterJumpsAtItsFrequency() {
        Jitter jitter = new Jitter(Value.of(1), 6, Jitter.Kind.STEPPED, 9);
        for (int f = 0; f < 96; f += 4) {
            assertThat(at(jitter, f + 3, 1, "x")).isEqualTo(at(jitter, f, 1, "x"));
            assertThat(at(jitter, f + 4, 1, "x")).isNotEqualTo(at(jitter, f, 1, "x"));
        }
    }

    @Test
    void channelsAxesAndSeedsMoveIndependently() {
        Jitter a = new Jitter(Value.of(1), 24, Jitter.Kind.STEPPED, 1);
        Jitter b = new Jitter(Value.of(1), 24, Jitter.Kind.STEPPED, 2);
        assertThat(correlation(a, 0, "x", a, 0, "y")).isCloseTo(0, within(0.1));
        assertThat(correlation(a, 0, "x", a, 1, "x")).isCloseTo(0, within(0.1));
        assertThat(correlation(a, 0, "x", b, 0, "x")).isCloseTo(0, within(0.1));
        assertThat(correlation(a, 0, "x", a, 0, "x")).isCloseTo(1, within(1e-9));
    }

    @Test
    void zeroJitterIsExactlyZero() {
        assertThat(at(Jitter.NONE, 17, 0, "x")).isEqualTo(0.0);
    }

    private static double correlation(Jitter a, int la, String wa, Jitter b, int lb, String wb) {
        double ab = 0;
        double aa = 0;
        double bb = 0;
        for (int f = 0; f < 3000; f++) {
            double x = at(a, f, la, wa);
            double y = at(b, f, lb, wb);
            ab += x * y;
            aa += x * x;
            bb += y * y;
        }
        return ab / Math.sqrt(aa * bb);
    }
}
