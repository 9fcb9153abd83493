package ivrik.core.filter;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.Pictured;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Region;
import ivrik.core.picture.Size;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;
import ivrik.core.threads.Workers;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;

import org.junit.jupiter.api.Test;

/** Rows sampled across and then down equal samples taken one by one, to the bit. */
class AxisAlignedResampleTest {
    private final Plane in = Pictured.smooth(53, 31, 0.7).crop(new Region(2, 1, 49, 29));

    @Property(tries = 200)
    void everyValueEqualsASingleSample(
            @ForAll @DoubleRange(min = -3, max = 3) double across,
            @ForAll @DoubleRange(min = -3, max = 3) double down,
            @ForAll @DoubleRange(min = -20, max = 20) double right,
            @ForAll EdgeFill fill,
            @ForAll boolean cubic) {
        if (Math.abs(across) < 0.05 || Math.abs(down) < 0.05) {
            return;
        }
        Sampler sampler = cubic ? Sampler.CUBIC : Sampler.LINEAR;
        Size size = new Size(61, 37);
        Affine affine = Affine.scaled(across, down, 20, 10).then(Affine.moved(right, -right / 3));
        Plane plain =
                new AxisAlignedResample(in, size, affine, fill, sampler, ScalarOrVector.PLAIN)
                        .toPlane(Workers.shared());
        Plane made =
                new AxisAlignedResample(in, size, affine, fill, sampler, ScalarOrVector.VECTORS)
                        .toPlane(Workers.shared());
        ScatteredSamples samples =
                new ScatteredSamples(in, size.width(), fill, sampler, ScalarOrVector.VECTORS);
        ScatteredSamples byOne =
                new ScatteredSamples(in, size.width(), fill, sampler, ScalarOrVector.PLAIN);
        double[] x = new double[size.width()];
        double[] y = new double[size.width()];
        float[] expected = new float[size.width()];
        float[] one = new float[size.width()];
        for (int row = 0; row < size.height(); row++) {
            affine.row(row, x, y, x.length);
            samples.at(x, y, x.length, expected, 0);
            byOne.at(x, y, x.length, one, 0);
            assertThat(one).isEqualTo(expected);
            for (int i = 0; i < x.length; i++) {
                assertThat(made.at(i, row)).as("%d, %d", i, row).isEqualTo(expected[i]);
                assertThat(plain.at(i, row)).as("%d, %d", i, row).isEqualTo(expected[i]);
            }
        }
    }

    @Test
    void rotationsAndLanczosUseTheGeneralSampler() {
        assertThat(AxisAlignedResample.fits(Affine.scaled(2, 3, 1, 1), Sampler.CUBIC)).isTrue();
        assertThat(AxisAlignedResample.fits(Affine.scaled(2, 3, 1, 1), Sampler.LANCZOS)).isFalse();
        assertThat(AxisAlignedResample.fits(Affine.turned(3, 1, 1), Sampler.CUBIC)).isFalse();
    }
}
