package ivrik.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.Pictured;
import ivrik.core.colour.Transfer;
import ivrik.core.threads.Workers;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

import java.util.function.DoubleBinaryOperator;

class PlaneArithmeticTest {
    private final Workers workers = Workers.shared();
    private final Plane a = Pictured.noise(37, 41, 1);
    private final Plane b = Pictured.noise(37, 41, 2);

    private void assertEach(Plane out, DoubleBinaryOperator expected) {
        for (int y = 0; y < 41; y++) {
            for (int x = 0; x < 37; x++) {
                double exact = expected.applyAsDouble(a.at(x, y), b.at(x, y));
                assertThat((double) out.at(x, y))
                        .isCloseTo(exact, within(1e-6 * Math.max(1, Math.abs(exact))));
            }
        }
    }

    @Test
    void arithmeticIsThatOfDoubles() {
        assertEach(PlaneArithmetic.multiply(a, b, workers), (p, q) -> p * q);
        assertEach(PlaneArithmetic.divide(a, b, workers), (p, q) -> p / q);
        assertEach(PlaneArithmetic.maximum(a, b, workers), Math::max);
        assertEach(PlaneArithmetic.add(a, b, workers), Double::sum);
        assertEach(PlaneArithmetic.mix(a, b, 0.3f, workers), (p, q) -> 0.7 * p + 0.3 * q);
        assertEach(PlaneArithmetic.excess(a, b, workers), (p, q) -> p > q ? p - q : 0);
        assertEach(PlaneArithmetic.scale(a, -2, workers), (p, q) -> -2 * p);
        assertEach(PlaneArithmetic.over(a, b, a, workers), (p, q) -> p + (1 - q) * p);
    }

    @Test
    void zeroDividedByZeroIsZero() {
        Plane zero = Plane.of(37, 41);
        assertThat(PlaneArithmetic.divide(a, zero, workers).data()).containsOnly(0f);
    }

    @Test
    void croppedPlanesAreReadAtTheirOffset() {
        Region part = new Region(5, 7, 9, 4);
        Plane sum = PlaneArithmetic.add(a.crop(part), b.crop(part), workers);
        assertThat(sum.at(8, 3)).isEqualTo(a.at(13, 10) + b.at(13, 10));
    }

    @Test
    void planesOfTwoSizesAreRefused() {
        assertThatThrownBy(() -> PlaneArithmetic.add(a, Plane.of(3, 3), workers))
                .hasMessageContaining("differ in size");
        assertThatThrownBy(() -> Plane.of(0, 3)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Plane(4, 4, 4, 1, new float[16]))
                .hasMessageContaining("does not fit");
    }

    @ParameterizedTest
    @EnumSource
    void transferFunctionsRoundTripBeyondTheRange(Transfer transfer) {
        // The standards print rounded constants; the darkest code of PQ is not zero.
        double exact = transfer == Transfer.PQ || transfer == Transfer.HLG ? 1e-6 : 1e-9;
        for (double v = -0.5; v < 2; v += 0.01) {
            assertThat(transfer.fromLinear(transfer.toLinear(v))).isCloseTo(v, within(exact));
            assertThat(transfer.toLinear(-v)).isCloseTo(-transfer.toLinear(v), within(1e-12));
        }
        double peak = transfer == Transfer.PQ ? 10_000 / 203.0 : 1;
        assertThat(transfer.toLinear(1)).isCloseTo(peak, within(1e-7 * peak));
    }

    /** SMPTE ST 2084 and ITU-R BT.2408: reference white is 58 % of PQ and 75 % of HLG. */
    @Test
    void referenceWhiteMatchesTheReports() {
        assertThat(Transfer.PQ.toLinear(0.5807)).isCloseTo(1, within(2e-3));
        assertThat(1000 / 203.0 * Math.pow(Transfer.HLG.toLinear(0.75), 1.2))
                .isCloseTo(1, within(5e-3));
    }

    @Test
    void srgbMatchesTheStandard() {
        // IEC 61966-2-1 at half: ((0.5 + 0.055) / 1.055) ^ 2.4.
        assertThat(Transfer.SRGB.toLinear(0.5)).isCloseTo(0.21404114048223255, within(1e-12));
        assertThat(Transfer.SRGB.toLinear(0.04)).isCloseTo(0.04 / 12.92, within(1e-12));
        assertThat(Transfer.BT1886.toLinear(0.5)).isCloseTo(Math.pow(0.5, 2.4), within(1e-12));
    }
}
