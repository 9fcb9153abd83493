package ivrik.core.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

import java.util.Random;
import java.util.function.DoubleUnaryOperator;

class TablesTest {
    @ParameterizedTest
    @EnumSource(names = {"LINEAR", "SRGB"})
    void tablesMatchTheFunction(Transfer transfer) {
        TransferTable to = TransferTable.toLinear(transfer);
        TransferTable from = TransferTable.fromLinear(transfer);
        Random random = new Random(11);
        for (int i = 0; i < 200_000; i++) {
            float v = i < 100_000 ? random.nextFloat() : random.nextFloat() * 3 - 1;
            assertThat((double) to.at(v)).isCloseTo(transfer.toLinear(v), within(2e-7 * scale(v)));
            assertThat((double) from.at(v))
                    .isCloseTo(transfer.fromLinear(v), within(2e-7 * scale(v)));
        }
    }

    private static double scale(double v) {
        return Math.max(1, 10 * v * v);
    }

    private record Times(double by) implements DoubleUnaryOperator {
        @Override
        public double applyAsDouble(double v) {
            return by * v;
        }
    }

    @Test
    void aTableOfTheSameNumbersIsMadeOnce() {
        TransferTable made = TransferTable.kept(new Times(0.5));
        assertThat(TransferTable.kept(new Times(0.5))).isSameAs(made);
        assertThat(TransferTable.kept(new Times(0.25)).at(0.5f)).isEqualTo(0.125f);
        assertThat(made.at(0.5f)).isEqualTo(0.25f);
    }

    @Test
    void endsAreExact() {
        TransferTable to = TransferTable.toLinear(Transfer.SRGB);
        TransferTable from = TransferTable.fromLinear(Transfer.SRGB);
        assertThat(to.at(0)).isZero();
        assertThat(to.at(-0f)).isZero();
        assertThat(from.at(-0f)).isZero();
        assertThat(to.at(1)).isEqualTo(1f);
        assertThat(from.at(1)).isEqualTo(1f);
        assertThat(from.at(-0.5f)).isEqualTo(-from.at(0.5f), within(2e-7f));
    }

    @Test
    void cubeRootsAreRightWhateverTheSize() {
        Random random = new Random(5);
        for (int i = 0; i < 200_000; i++) {
            double x = Math.scalb(random.nextDouble() + 0.5, random.nextInt(-60, 60));
            double root = StrictMath.cbrt(x);
            assertThat(CubeRoot.of(x)).isEqualTo(root, within(1e-8 * root));
            assertThat(CubeRoot.of(-x)).isEqualTo(-CubeRoot.of(x));
        }
        assertThat(CubeRoot.of(0)).isZero();
        assertThat(CubeRoot.of(Double.NaN)).isNaN();
    }
}
