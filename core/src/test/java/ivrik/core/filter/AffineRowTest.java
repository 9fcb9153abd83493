package ivrik.core.filter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.Pictured;
import ivrik.core.picture.Plane;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

import java.util.List;

/** Rows under mappings close to a shift, and far from one, against positions sampled one by one. */
class AffineRowTest {
    private static final int W = 131;
    private static final int H = 37;

    private static final List<Affine> MAPPINGS =
            List.of(
                    Affine.NONE,
                    Affine.moved(3.25, -1.75),
                    Affine.moved(-400, 0.5),
                    Affine.moved(2, 90),
                    Affine.scaled(1.02, 1.02, 60, 20),
                    Affine.scaled(0.97, 0.97, 100, -5),
                    Affine.scaled(1.001, 0.9, 12.5, 8.5),
                    Affine.turned(1.5, 64, 18),
                    Affine.turned(-0.2, 10, 30),
                    Affine.turned(70, 64, 18),
                    Affine.scaled(-1, 1, 65.5, 0));

    @ParameterizedTest
    @EnumSource
    void rowsEqualSinglePositions(EdgeFill fill) {
        Plane in = Pictured.noise(W, H, 4);
        AffineRow rows = new AffineRow(in, fill);
        ScatteredSamples samples = new ScatteredSamples(in, W, fill, Sampler.LINEAR);
        float[] out = new float[W];
        float[] each = new float[W];
        double[] x = new double[W];
        double[] y = new double[W];
        for (Affine mapping : MAPPINGS) {
            for (int row = 0; row < H; row++) {
                rows.read(mapping, row, out);
                mapping.row(row, x, y, W);
                samples.at(x, y, W, each, 0);
                assertThat(out).as("%s, row %s", mapping, row).containsExactly(each, within(1e-6f));
            }
        }
    }
}
