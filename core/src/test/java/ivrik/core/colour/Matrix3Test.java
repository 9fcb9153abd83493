package ivrik.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

import java.util.Random;

class Matrix3Test {
    @Test
    void theInverseUndoes() {
        Matrix3 m = Matrix3.of(2, -1, 0.5, 0.25, 3, 1, -2, 0.125, 1.5);
        Matrix3 one = m.inverse().times(m);
        for (int i = 0; i < 9; i++) {
            assertThat(one.at(i / 3, i % 3)).isCloseTo(i % 4 == 0 ? 1 : 0, within(1e-14));
        }
        assertThatThrownBy(() -> Matrix3.of(1, 2, 3, 2, 4, 6, 0, 0, 1).inverse())
                .isInstanceOf(ArithmeticException.class);
    }

    @Test
    void theConditionIsTheRatioOfTheSingularValues() {
        assertThat(Matrix3.of(3, 0, 0, 0, -3, 0, 0, 0, 3).condition()).isCloseTo(1, within(1e-9));
        assertThat(Matrix3.of(0, 0, 2, 10, 0, 0, 0, -0.5, 0).condition())
                .isCloseTo(20, within(1e-9));
        assertThat(Matrix3.of(1, 2, 3, 2, 4, 6, 0, 0, 1).condition()).isInfinite();
    }

    @Test
    void turningChangesNoCondition() {
        Random random = new Random(3);
        for (int i = 0; i < 50; i++) {
            double a = random.nextDouble() * 7;
            Matrix3 turn =
                    Matrix3.of(Math.cos(a), -Math.sin(a), 0, Math.sin(a), Math.cos(a), 0, 0, 0, 1);
            Matrix3 other =
                    Matrix3.of(1, 0, 0, 0, Math.cos(a), -Math.sin(a), 0, Math.sin(a), Math.cos(a));
            double small = Math.pow(10, -3 * random.nextDouble());
            Matrix3 m = turn.times(other).times(Matrix3.of(1, 0, 0, 0, small, 0, 0, 0, 0.5));
            double expected = 1 / Math.min(0.5, small);
            assertThat(m.times(turn).condition()).isCloseTo(expected, within(1e-6 * expected));
        }
    }

    @Test
    void theStandardMatrixFollowsFromItsPrimaries() {
        Matrix3 m = Primaries.SRGB.toXyz();
        double[][] published = {
            {0.4124, 0.3576, 0.1805}, {0.2126, 0.7152, 0.0722}, {0.0193, 0.1192, 0.9505}
        };
        for (int i = 0; i < 9; i++) {
            assertThat(m.at(i / 3, i % 3)).isCloseTo(published[i / 3][i % 3], within(6e-5));
        }
    }
}
